import { connect, createServer, type Server, type Socket } from 'node:net';

/** TCP relay in front of the database; `cut` breaks every connection, `open` accepts them again on the same port. */
export class Relay {
	private server: Server | null = null;
	private readonly sockets = new Set<Socket>();
	port = 0;

	constructor(private readonly to: { host: string; port: number }) {}

	open(): Promise<void> {
		const server = createServer((socket) => {
			if (!server.listening) return void socket.destroy();
			const onward = connect(this.to.port, this.to.host);
			for (const end of [socket, onward]) {
				this.sockets.add(end);
				end.on('error', () => end.destroy());
				end.on('close', () => this.sockets.delete(end));
			}
			socket.pipe(onward).pipe(socket);
		});
		this.server = server;
		return new Promise((resolve) =>
			server.listen(this.port, '127.0.0.1', () => {
				const address = server.address();
				if (typeof address === 'object' && address) this.port = address.port;
				resolve();
			})
		);
	}

	/** Stops listening before it breaks the connections: a client that connects again at once would keep it open. */
	async cut(): Promise<void> {
		const closed = new Promise((resolve) => this.server?.close(resolve));
		for (const socket of this.sockets) socket.destroy();
		this.sockets.clear();
		await closed;
	}
}
