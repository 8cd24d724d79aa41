import { pdfOf, type Paper } from './pdf';

/** What the threads of the typesetter run: one paper in, its file out. */
export default (paper: Paper): Promise<Uint8Array<ArrayBuffer>> => pdfOf(paper);
