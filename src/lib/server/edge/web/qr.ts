import { create } from 'qrcode';

export interface QrPicture {
	/** Modules along each side. */
	size: number;
	/** The dark ones, as an SVG path in units of a module. */
	path: string;
}

/** A text as a QR code (ISO/IEC 18004), to be drawn by the page itself. */
export function qrPicture(text: string): QrPicture {
	const { modules } = create(text, { errorCorrectionLevel: 'M' });
	const { size } = modules;
	const dark = Array.from({ length: size * size }, (_, i) => i).filter((i) => modules.data[i]);
	return { size, path: dark.map((i) => `M${i % size} ${Math.floor(i / size)}h1v1h-1z`).join('') };
}
