/** Keeps the screen on, where the device lets a page do so. @returns what lets go of it */
export function keepAwake(): () => void {
	if (!('wakeLock' in navigator)) return () => {};
	let held: WakeLockSentinel | null = null;
	let over = false;
	const hold = async () => {
		if (over || document.visibilityState !== 'visible') return;
		try {
			held = await navigator.wakeLock.request('screen');
			if (over) await held.release();
		} catch {
			// A battery that is low forbids it; the session goes on without.
			held = null;
		}
	};
	// A device lets go of it whenever the page is out of sight.
	const seen = () => void hold();
	document.addEventListener('visibilitychange', seen);
	void hold();
	return () => {
		over = true;
		document.removeEventListener('visibilitychange', seen);
		void held?.release();
	};
}
