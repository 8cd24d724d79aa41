declare module 'jstat' {
	const jstat: { normal: { inv(p: number, mean: number, sd: number): number } };
	export default jstat;
}
