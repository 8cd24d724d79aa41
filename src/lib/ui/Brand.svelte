<span class="font-head inline-flex items-center gap-2 text-lg font-bold">
	<svg width="18" height="16" viewBox="0 0 18 16" aria-hidden="true">
		<rect x="0" y="2" width="4.4" height="13" rx="0.5" fill="var(--color-primary)" />
		<rect x="6.6" y="6" width="4.4" height="9" rx="0.5" fill="var(--color-primary)" />
		<rect x="13.2" y="0" width="4.4" height="15" rx="0.5" fill="var(--color-warning)" />
	</svg>
	cadrex
</span>
