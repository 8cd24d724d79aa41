import type { Logger } from 'pino';
import type { App as CadrexApp } from '$lib/server/app';
import type { Coach } from '$lib/server/auth/coach';
import type { Person } from '$lib/server/auth/link';
import type { Visitor } from '$lib/server/auth/visitor';

declare global {
	namespace App {
		interface Error {
			message: string;
		}
		interface Locals {
			app: CadrexApp;
			log: Logger;
			requestId: string;
			visitor: Visitor;
			/** Whom the address belongs to; null on pages that are open to everybody. */
			coach: Coach | null;
			person: Person | null;
			/** Seconds to wait, for an answer of 429. */
			retryAfter?: number;
		}
	}
}

export {};
