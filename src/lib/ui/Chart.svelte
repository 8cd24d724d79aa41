<script lang="ts">
	import {
		BarController,
		BarElement,
		CategoryScale,
		Chart,
		Legend,
		LinearScale,
		LineController,
		LineElement,
		PointElement,
		Tooltip,
		type ChartConfiguration
	} from 'chart.js';

	Chart.register(
		BarController,
		BarElement,
		CategoryScale,
		Legend,
		LinearScale,
		LineController,
		LineElement,
		PointElement,
		Tooltip
	);

	/** Chart.js once for all: our fonts and colours, no motion when none is wanted. `label` says the chart in words. */
	let {
		config,
		label,
		height = 120
	}: {
		config: (colours: Record<string, string>) => ChartConfiguration<'bar' | 'line'>;
		label: string;
		height?: number;
	} = $props();
	let canvas: HTMLCanvasElement;

	$effect(() => {
		const style = getComputedStyle(canvas);
		const colour = (name: string) => style.getPropertyValue(name).trim();
		const colours = {
			work: colour('--color-primary'),
			pale: colour('--color-base-300'),
			paper: colour('--color-base-100'),
			text: colour('--quiet'),
			line: colour('--color-base-300'),
			attention: colour('--color-warning'),
			info: colour('--color-info'),
			test: colour('--color-secondary')
		};
		Chart.defaults.font.family = style.fontFamily;
		Chart.defaults.font.size = 12;
		Chart.defaults.color = colours.text;
		Chart.defaults.animation = false;
		const drawn = config(colours);
		// One row of values is named by the chart; several need a name each to be told apart.
		const unnamed = drawn.data.datasets.length > 1 && drawn.data.datasets.some((set) => !set.label);
		if (unnamed) throw new Error(`a row of the chart “${label}” has no name`);
		const legend = { display: drawn.data.datasets.length > 1, ...drawn.options?.plugins?.legend };
		drawn.options = { ...drawn.options, plugins: { ...drawn.options?.plugins, legend } };
		const chart = new Chart(canvas, drawn);
		return () => chart.destroy();
	});
</script>

<div style="height:{height}px" role="img" aria-label={label}>
	<canvas bind:this={canvas} aria-hidden="true"></canvas>
</div>
