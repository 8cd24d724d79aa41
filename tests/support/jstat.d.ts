declare module 'jstat' {
	const jstat: {
		normal: { inv(p: number, mean: number, sd: number): number };
		studentt: { inv(p: number, degrees: number): number };
		betaln(a: number, b: number): number;
		combinationln(n: number, k: number): number;
		mean(data: number[]): number;
		stdev(data: number[], sample: boolean): number;
		quantiles(data: number[], shares: number[], alphap: number, betap: number): number[];
	};
	export default jstat;
}
