<!-- Reaches help without a connection to us. 112 and 911 lead to the emergency services from mobile phones in most countries
(3GPP TS 22.101, clause 10, from memory). -->
<section class="remark remark-safety flex flex-col gap-2" aria-label="Emergency">
	<p class="text-lg font-semibold">
		If it is still there, or frightens you, call your emergency number now, or have someone call it.
	</p>
	<a class="btn btn-error min-h-14 text-lg" href="tel:112">Call 112</a>
	<p class="text-[15px]">
		112 works from mobile phones in most countries; 911 in North America, 000 in Australia, 111 in New
		Zealand. Don’t wait for your coach.
	</p>
</section>
