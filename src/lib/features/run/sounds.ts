/** Voice, tones and vibration, each where the device has it. */
import type { Caller, ToneKind } from './runner.svelte';

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

/** Hertz and seconds of each kind of tone. */
const TONES: Record<ToneKind, { hertz: number; seconds: number }> = {
	short: { hertz: 660, seconds: 0.12 },
	long: { hertz: 990, seconds: 0.35 },
	low: { hertz: 440, seconds: 0.25 }
};

/** Milliseconds. */
const UNLOCK_PATIENCE = 300;

export class Sounds implements Caller {
	settings: SoundSettings;
	private audio: AudioContext | null = null;
	/** Tones that have been handed to the sound system and have not ended. */
	private readonly planned = new Set<{ node: OscillatorNode; begin: number }>();
	private readonly words = new Set<ReturnType<typeof setTimeout>>();

	constructor(settings: SoundSettings) {
		this.settings = settings;
	}

	get paces(): boolean {
		return this.settings.pacing;
	}

	get sounds(): boolean {
		return this.settings.tones && 'AudioContext' in window;
	}

	/** Whether this page makes no sound before it is touched, as after a reload. */
	get isLocked(): boolean {
		const wanted = this.settings.voice || this.settings.tones || this.settings.pacing;
		return wanted && 'AudioContext' in window && this.audio?.state !== 'running';
	}

	/** Browsers let a page sound only after it was touched: call it from a tap. */
	async unlock(): Promise<void> {
		if (!('AudioContext' in window)) return;
		if (!this.audio) {
			this.audio = new AudioContext();
			// The voice is let through by the same tap.
			if ('speechSynthesis' in window) speechSynthesis.speak(new SpeechSynthesisUtterance(''));
		}
		// A device that lets nothing sound never answers.
		await Promise.race([this.audio.resume(), new Promise((done) => setTimeout(done, UNLOCK_PATIENCE))]);
	}

	/** @param wait seconds from now */
	say(words: string, wait = 0): void {
		if (!this.settings.voice || !words || !('speechSynthesis' in window)) return;
		if (wait > 0) {
			const timer = setTimeout(() => {
				this.words.delete(timer);
				this.say(words);
			}, wait * 1000);
			this.words.add(timer);
			return;
		}
		const spoken = new SpeechSynthesisUtterance(words);
		spoken.lang = 'en';
		spoken.rate = 1.1;
		speechSynthesis.speak(spoken);
	}

	/** Stops what is being said and takes back what has not begun: something else has to be called. */
	hush(): void {
		this.retract();
		if ('speechSynthesis' in window) speechSynthesis.cancel();
	}

	/** Takes back tones and words that have not begun. */
	retract(): void {
		for (const timer of this.words) clearTimeout(timer);
		this.words.clear();
		const now = this.audio?.currentTime ?? 0;
		for (const tone of this.planned)
			if (tone.begin > now) {
				tone.node.disconnect();
				tone.node.stop();
				this.planned.delete(tone);
			}
	}

	/** @param wait seconds from now: the sound system keeps the time better than a page does */
	tone(kind: ToneKind, wait = 0): void {
		// A sound system that stands would play all of it at once when it goes on.
		if (!this.settings.tones || this.audio?.state !== 'running') return;
		const { hertz, seconds } = TONES[kind];
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
		const tone = { node: oscillator, begin };
		this.planned.add(tone);
		oscillator.onended = () => this.planned.delete(tone);
	}

	buzz(pattern: number | number[]): void {
		if (this.settings.vibration && 'vibrate' in navigator) navigator.vibrate(pattern);
	}
}
