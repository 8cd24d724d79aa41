import type { Coach } from '../../records/coach';
import type { Mail } from '../../platform/mail';

/** Sends a coach a letter now. @returns what stopped it, as the mail server said it; null: it went */
export async function testLetter(
	{ mail }: { mail: Mail },
	{ name, email }: Pick<Coach, 'name' | 'email'>
): Promise<{ fault: string | null }> {
	try {
		await mail.send({
			to: { name, address: email },
			subject: 'A test from Cadrex',
			text: `Hello ${name},\n\nthis is the test that you asked for. Mail from Cadrex arrives here.\n`
		});
		return { fault: null };
	} catch (error) {
		return { fault: error instanceof Error ? error.message.slice(0, 300) : 'the mail server did not answer' };
	}
}
