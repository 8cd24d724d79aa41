import type { Paper } from '../exports/pdf/pdf';
import type { Press } from '../exports/pdf/press';
import { download } from './download';
import { orError } from './http';

/** A paper as the PDF that a browser saves. */
export async function paperAnswer(press: Press, paper: Paper, filename: string): Promise<Response> {
	return download(await orError(press.print(paper)), filename, 'application/pdf');
}
