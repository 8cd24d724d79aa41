// npm start: the application on real data.
import { ensureBuilt, ensureInstalled, failStart } from './setup.mjs';
import { serve } from './serve.mjs';

ensureInstalled();
ensureBuilt();
const port = Number(process.env.PORT ?? 3000);
const host = process.env.HOST ?? '0.0.0.0';
try {
	const { url } = await serve({ host, port });
	console.log(`Cadrex is at ${url}`);
} catch (error) {
	failStart(error, port);
}
