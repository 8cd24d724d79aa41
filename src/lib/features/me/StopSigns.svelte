<script lang="ts">
	import { STOP_SIGNS, STOP_SIGNS_PREGNANT } from '$lib/stop-signs';
</script>

<section class="remark remark-safety text-[15px]" aria-labelledby="stop-signs">
	<h2 id="stop-signs" class="text-base">Stop, and get medical help</h2>
	<p>{STOP_SIGNS} {STOP_SIGNS_PREGNANT}</p>
	<p>
		<a class="link-quiet inline-flex min-h-11 items-center" href="/me/stop">I had to stop: tell my coach</a>
	</p>
	<p class="quiet mt-1">
		Pain is not soreness: leave out what hurts and say so in the check-in. This page gives no medical advice.
	</p>
</section>
