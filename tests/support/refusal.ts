/** What a use case was refused with; fails when nothing was refused. */
export async function refusal(work: Promise<unknown>): Promise<{
	status: number;
	message: string;
	faults: { field: string; message: string }[];
}> {
	try {
		await work;
	} catch (cause) {
		return cause as Awaited<ReturnType<typeof refusal>>;
	}
	throw new Error('nothing was refused');
}
