import { resolve } from 'node:path';
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
	CADREX_SIGN_IN_TRIES: number().integer().min(1).default(10)
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
	/** Failed sign-ins taken from one address in a quarter of an hour. */
	signInTries: number;
}

/**
 * Reads the configuration from the environment.
 * @throws Error naming the variable and what it should be
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
			signInTries: values.CADREX_SIGN_IN_TRIES
		};
	} catch (error) {
		if (error instanceof ValidationError)
			throw new Error(`Configuration: ${error.path} ${error.message}.`, { cause: error });
		throw error;
	}
}
