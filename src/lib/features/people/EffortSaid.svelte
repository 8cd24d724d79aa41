<!-- How hard it was, as a person told their coach. -->
<label class="text-sm"
	>Effort, 0 to 10, if they said <input
		name="effort"
		inputmode="numeric"
		maxlength="2"
		class="input input-sm w-16"
	/></label
>
