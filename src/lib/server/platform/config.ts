import { join, resolve } from 'node:path';
import { CannotStart } from './cannot-start';
import type { MailConfig } from './mail';
import { number, object, string, ValidationError } from 'yup';

const environment = object({
	CADREX_DATA: string().default('./data'),
	DATABASE_URL: string()
		.matches(/^postgres(ql)?:\/\//, 'begins with postgres://')
		.optional(),
	CADREX_WORKERS: string().optional(),
	CADREX_DEMO: string().oneOf(['0', '1']).default('0'),
	CADREX_FIXED_NOW: string().datetime('is an instant such as 2026-05-14T05:40:00Z').optional(),
	CADREX_LOG: string().oneOf(['silent', 'error', 'warn', 'info', 'debug']).default('info'),
	CADREX_SIGN_IN_TRIES: number().integer().min(1).default(10),
	CADREX_JOINS: number().integer().min(1).default(5),
	CADREX_PERSON_MB: number().min(0, 'is at least 0 MB').default(300),
	CADREX_CHALLENGE_MB: number().min(0, 'is at least 0 MB').default(5000),
	CADREX_BACKUPS: number().integer().min(0, 'is 0, for none, or how many are kept').max(1000).optional(),
	CADREX_BACKUP_DIRECTORY: string().optional(),
	CADREX_SMTP: string()
		.matches(/^smtps?:\/\//, 'begins with smtp:// or smtps://')
		.optional(),
	CADREX_MAIL_FROM: string().max(200).default('Cadrex <cadrex@localhost>'),
	CADREX_PUSH: string().oneOf(['simulated', 'on']).optional(),
	ORIGIN: string()
		.test(
			'address',
			'is an address such as https://challenge.example.org',
			(value) => !value || (/^https?:\/\//.test(value) && URL.canParse(value))
		)
		.optional(),
	CADREX_DISK_RESERVE: number().min(0, 'is at least 0 MB').default(64)
});

export interface Config {
	dataDirectory: string;
	databaseUrl: string | null;
	/** Folder of the built worker threads; null does their work in the thread of the server. */
	workers: string | null;
	/** Runs on the demo scenario, with a clock that can be moved on. */
	demo: boolean;
	/** Epoch milliseconds at which the clock starts, instead of the real time. */
	fixedNow: number | null;
	logLevel: string;
	/** Bytes that stay free on the disk of the embedded database. */
	diskReserve: number;
	/** Where backups are kept, and how many; 0: none are made by themselves. */
	backups: { directory: string; kept: number };
	mail: MailConfig;
	/** Whether reminders go to the simulated push service, as in the demo. */
	pushStandIn: boolean;
	/** Where push services reach the operator (RFC 8292, 2.1): an address that begins with https:// or mailto:. */
	pushContact: string;
	/** The address that people use; null when each request says it for itself. */
	origin: string | null;
	/** Failed sign-ins taken from one address in a quarter of an hour. */
	signInTries: number;
	/** Times that somebody asks to join in an hour, from one address or with one. */
	joinTries: number;
	/** Bytes that the files of one person have at most, and those of all people of a challenge. */
	space: { person: number; challenge: number };
}

/**
 * Reads the configuration from the environment.
 * @throws CannotStart naming the variable and what it should be
 */
export function readConfig(env: Record<string, string | undefined>): Config {
	try {
		const values = environment.validateSync(env, { stripUnknown: true });
		return {
			dataDirectory: resolve(values.CADREX_DATA),
			databaseUrl: values.DATABASE_URL ?? null,
			workers: values.CADREX_WORKERS ?? null,
			demo: values.CADREX_DEMO === '1',
			fixedNow: values.CADREX_FIXED_NOW ? Date.parse(values.CADREX_FIXED_NOW) : null,
			logLevel: values.CADREX_LOG,
			diskReserve: values.CADREX_DISK_RESERVE * 1024 * 1024,
			backups: {
				directory: resolve(values.CADREX_BACKUP_DIRECTORY ?? join(values.CADREX_DATA, 'backups')),
				// Whoever runs a server has a way of their own; the demo is written anew every day.
				kept: values.CADREX_BACKUPS ?? (values.DATABASE_URL || values.CADREX_DEMO === '1' ? 0 : 7)
			},
			mail: { server: values.CADREX_SMTP ?? null, from: values.CADREX_MAIL_FROM },
			pushStandIn: (values.CADREX_PUSH ?? (values.CADREX_DEMO === '1' ? 'simulated' : 'on')) === 'simulated',
			pushContact: values.ORIGIN?.startsWith('https:')
				? new URL(values.ORIGIN).origin
				: `mailto:${/<([^>]+)>/.exec(values.CADREX_MAIL_FROM)?.[1] ?? values.CADREX_MAIL_FROM}`,
			origin: values.ORIGIN ? new URL(values.ORIGIN).origin : null,
			signInTries: values.CADREX_SIGN_IN_TRIES,
			joinTries: values.CADREX_JOINS,
			space: {
				person: values.CADREX_PERSON_MB * 1024 * 1024,
				challenge: values.CADREX_CHALLENGE_MB * 1024 * 1024
			}
		};
	} catch (error) {
		if (error instanceof ValidationError)
			throw new CannotStart(`Configuration: ${error.path} ${error.message}.`, { cause: error });
		throw error;
	}
}
