import { spawnSync } from 'node:child_process';

/** Writes the demo data that each worker takes a copy of, unless they are current. */
export default function setup(): void {
	const { status, stdout, stderr } = spawnSync(
		process.execPath,
		['tests/support/e2e-server.mjs', 'prepare'],
		{
			encoding: 'utf8'
		}
	);
	if (status !== 0) throw new Error(`the demo data could not be written: ${stdout}${stderr}`);
}
