<section class="remark remark-safety text-[15px]" aria-labelledby="stop-signs">
	<h2 id="stop-signs" class="text-base">Stop, and get medical help</h2>
	<p>
		Chest pain or pressure, fainting or dizziness, unusual shortness of breath, palpitations, sudden severe
		headache, calf pain or swelling. In pregnancy also bleeding, fluid loss, regular painful contractions,
		fewer movements of the baby.
	</p>
	<p class="quiet mt-1">
		Pain is not soreness: leave out what hurts and say so in the check-in. This page gives no medical advice.
	</p>
</section>
