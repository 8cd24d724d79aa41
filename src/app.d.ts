import type { Logger } from 'pino';
import type { App as CadrexApp } from '$lib/server/app';
import type { Coach } from '$lib/server/auth/coach';
import type { Person } from '$lib/server/auth/link';

declare global {
	namespace App {
		interface Error {
			message: string;
		}
		interface Locals {
			app: CadrexApp;
			log: Logger;
			requestId: string;
			coach: Coach | null;
			person: Person | null;
			/** Seconds to wait, for an answer of 429. */
			retryAfter?: number;
		}
	}
}

export {};
