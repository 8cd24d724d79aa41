import type { Paper } from '../exports/pdf/pdf';
import { download } from './download';
import { orError } from './http';
import { visitorKey } from './viewer';

/** A paper as the PDF that a browser saves. */
export async function paperAnswer(locals: App.Locals, paper: Paper, filename: string): Promise<Response> {
	const pdf = await orError(locals.app.threads.run('paper', paper, visitorKey(locals), locals.gone), locals);
	return download(pdf, filename, 'application/pdf');
}
