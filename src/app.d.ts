import type { IncomingMessage } from 'node:http';
import type { Logger } from 'pino';
import type { App as CadrexApp } from '$lib/server/edge/app';
import type { SignedInCoach } from '$lib/server/account/auth/login';
import type { Person } from '$lib/server/records/person';
import type { EnrolmentId } from '$lib/server/platform/ids';
import type { Refusal } from '$lib/server/platform/errors';
import type { Visitor } from '$lib/server/edge/web/visitor';

declare global {
	namespace App {
		interface Error {
			message: string;
			/** There was no connection. */
			offline?: true;
		}
		interface PageState {
			/** Section of the questions that is shown. */
			intakeStep?: number;
		}
		interface PageData {
			/** Pages that a participant's device should keep, fetched again each time. */
			keep?: string[];
			/** Pages that belong to this one: fetched where the device does not have them. */
			goesWith?: string[];
		}
		/** What the server hands on of the connection; there is none in development. */
		interface Platform {
			req: IncomingMessage;
		}
		interface Locals {
			app: CadrexApp;
			log: Logger;
			requestId: string;
			visitor: Visitor;
			/** Whom the address belongs to; null on pages that are open to everybody. */
			coach: SignedInCoach | null;
			person: Person | null;
			/** Whom in a challenge the request is about. */
			about?: EnrolmentId;
			/** Aborted when whoever asked has gone: nobody waits for the answer any more. */
			gone: AbortSignal;
			/** A refusal that no route answered itself: the answer gets its status and its words. */
			refused?: Refusal;
			/** Seconds to wait, for an answer of 429. */
			retryAfter?: number;
		}
	}
}

export {};
