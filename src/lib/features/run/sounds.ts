/** Voice, tones and vibration, each where the device has it. */

/** How somebody wants to be called. */
export interface SoundSettings {
	voice: boolean;
	tones: boolean;
	vibration: boolean;
	/** A tick for each repetition, at its tempo. */
	pacing: boolean;
}

export const USUAL_SOUNDS: SoundSettings = { voice: true, tones: true, vibration: true, pacing: false };

const KEY = 'cadrex.sounds';

export function readSounds(store: Pick<Storage, 'getItem'>): SoundSettings {
	try {
		const read: unknown = JSON.parse(store.getItem(KEY) ?? '{}');
		const known = typeof read === 'object' && read !== null ? (read as Partial<SoundSettings>) : {};
		const of = (key: keyof SoundSettings) =>
			typeof known[key] === 'boolean' ? known[key] : USUAL_SOUNDS[key];
		return { voice: of('voice'), tones: of('tones'), vibration: of('vibration'), pacing: of('pacing') };
	} catch {
		return USUAL_SOUNDS;
	}
}

export const keepSounds = (store: Pick<Storage, 'setItem'>, sounds: SoundSettings): void =>
	store.setItem(KEY, JSON.stringify(sounds));

/** What this device can do. */
export const devicePowers = () => ({
	voice: 'speechSynthesis' in window,
	tones: 'AudioContext' in window,
	vibration: 'vibrate' in navigator,
	wakeLock: 'wakeLock' in navigator
});

/** Hertz and seconds. */
const SHORT = { hertz: 660, seconds: 0.12 };
const LONG = { hertz: 990, seconds: 0.35 };

export class Sounds {
	settings: SoundSettings;
	private audio: AudioContext | null = null;

	constructor(settings: SoundSettings) {
		this.settings = settings;
	}

	get paces(): boolean {
		return this.settings.pacing;
	}

	/** Browsers let a page sound only after it was touched: call it from a tap. */
	unlock(): void {
		if (!('AudioContext' in window)) return;
		this.audio ??= new AudioContext();
		void this.audio.resume();
	}

	say(words: string): void {
		if (!this.settings.voice || !words || !('speechSynthesis' in window)) return;
		const spoken = new SpeechSynthesisUtterance(words);
		spoken.lang = 'en';
		spoken.rate = 1.1;
		speechSynthesis.speak(spoken);
	}

	/** Stops what is being said: something else has to be. */
	hush(): void {
		if ('speechSynthesis' in window) speechSynthesis.cancel();
	}

	/** @param wait seconds from now: the sound system keeps the time better than a page does */
	tone(kind: 'short' | 'long', wait = 0): void {
		if (!this.settings.tones || !this.audio) return;
		const { hertz, seconds } = kind === 'short' ? SHORT : LONG;
		const begin = this.audio.currentTime + Math.max(0, wait);
		const oscillator = this.audio.createOscillator();
		const gain = this.audio.createGain();
		oscillator.frequency.value = hertz;
		gain.gain.setValueAtTime(0.0001, begin);
		gain.gain.exponentialRampToValueAtTime(0.4, begin + 0.01);
		gain.gain.exponentialRampToValueAtTime(0.0001, begin + seconds);
		oscillator.connect(gain).connect(this.audio.destination);
		oscillator.start(begin);
		oscillator.stop(begin + seconds + 0.02);
	}

	buzz(pattern: number | number[]): void {
		if (this.settings.vibration && 'vibrate' in navigator) navigator.vibrate(pattern);
	}
}
