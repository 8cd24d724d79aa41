import { setTimeout } from 'node:timers/promises';
import { join } from 'node:path';
import { createInterface } from 'node:readline/promises';
import { parseArgs } from 'node:util';
import { array, number, object, string, type Schema } from 'yup';
import { counted } from '$core/text/words';
import { registerCoach } from '$lib/server/account/auth/coach';
import { recordEvent } from '$lib/server/account/auth/events';
import { endSecondFactorFor, resetLinkFor } from '$lib/server/account/auth/operator';
import { refuseWeak } from '$lib/server/account/auth/strength';
import { backUp, restore } from '$lib/server/edge/backup/backup';
import { FILE_KINDS } from '$lib/server/edge/upkeep/kept-files';
import { controlOf } from '$lib/server/platform/control';
import { DirectoryInUse } from '$lib/server/platform/db/lock';
import { realClock } from '$lib/server/platform/clock';
import { rebuild } from '$lib/server/changes/projection';
import { readConfig, type Config } from '$lib/server/platform/config';
import { CannotStart } from '$lib/server/platform/cannot-start';
import type { Context } from '$lib/server/platform/context';
import { migrate, schemaVersion } from '$lib/server/platform/db/migrate';
import { openDatabase } from '$lib/server/platform/db/open';
import { Refusal } from '$lib/server/platform/errors';
import { randomIds } from '$lib/server/platform/ids';

const USAGE = `npm run admin -- <verb>

  create-coach   creates a coach account; asks for anything you leave out
                 --email runa@example.org --name "Runa Hallgren" --zone Europe/Oslo
                 the password is asked for, or read from CADREX_PASSWORD
  reset-password creates a link for a coach to set a new password
                 --email runa@example.org
  second-factor-off
                 for a coach who has lost both phone and recovery codes
                 --email runa@example.org
  backup         writes a backup; works while the application is running
  restore FILE   restores a backup into an empty data directory, or an
                 empty database on a server
  rebuild        recalculates every enrolment's totals from its check-ins
  migrate        upgrades the database to the schema of this version`;

async function ask(question: string, given: string | undefined): Promise<string> {
	if (given !== undefined) return given;
	const prompt = createInterface({ input: process.stdin, output: process.stdout });
	try {
		return await prompt.question(`${question}: `);
	} finally {
		prompt.close();
	}
}

/** Does something with a database that no application has open. */
process.on('cadrex:starting' as 'message', (text: unknown) => console.error(text));

async function withDatabase<T>(config: Config, work: (context: Context) => Promise<T>): Promise<T> {
	const db = await openDatabase(config);
	try {
		await migrate(db);
		return await work({ db, clock: realClock, ids: randomIds });
	} finally {
		await db.close();
	}
}

const refusedSchema = object({
	message: string().required(),
	faults: array(object({ field: string().required(), message: string().required() }).required()).default([])
});

/**
 * Does something here, or has the application do it that has the database open.
 * @param command what the application calls it @param answer what comes of it
 */
async function hereOrThere<T>(
	config: Config,
	command: string,
	body: object,
	answer: Schema<T>,
	work: (context: Context) => Promise<T>
): Promise<T> {
	const until = Date.now() + PATIENCE;
	for (let waits = 0; ; waits++) {
		try {
			return await withDatabase(config, work);
		} catch (error) {
			if (!(error instanceof DirectoryInUse)) throw error;
			const response = await askRunning(config, command, body);
			if (response) return answerIn(response, answer);
			// Nobody answers yet: the application is still starting, or another command has the database for a moment.
			if (Date.now() > until) throw error;
			if (waits === 0) console.error('Waiting for the application, which is starting …');
			await setTimeout(500);
		}
	}
}

/** Milliseconds for which a command waits for an application that starts. A first start takes some ten seconds. */
const PATIENCE = 90_000;

/** Sends a command to the application that has the data directory, or returns null while it isn't reached. */
async function askRunning(config: Config, command: string, body: object): Promise<Response | null> {
	const control = await controlOf(config.dataDirectory);
	if (!control) return null;
	const sent = {
		method: 'POST',
		headers: {
			authorization: `Bearer ${control.token}`,
			'content-type': 'application/json',
			accept: 'application/json'
		},
		body: JSON.stringify(body)
	};
	try {
		return await fetch(`${control.url}/api/operator/${command}`, sent);
	} catch (error) {
		// The address of a process that was killed is still there while the next one starts.
		if ((error as { cause?: { code?: string } }).cause?.code === 'ECONNREFUSED') return null;
		throw error;
	}
}

async function answerIn<T>(response: Response, answer: Schema<T>): Promise<T> {
	const said: unknown = await response.json();
	if (response.ok) return answer.validateSync(said);
	const { message, faults } = refusedSchema.validateSync(said);
	throw new Refusal(400, message, faults);
}

async function makeCoach(config: Config, args: string[]): Promise<void> {
	const text = { type: 'string' } as const;
	const { values } = parseArgs({ args, options: { email: text, name: text, zone: text } });
	const input = {
		email: await ask('Email address', values.email),
		name: await ask('Name', values.name),
		zone: await ask('Time zone (as in Europe/Oslo)', values.zone),
		password: await ask(
			'Password (12 characters or more; it is shown as you type)',
			process.env.CADREX_PASSWORD
		)
	};
	const made = object({ name: string().required(), email: string().required() });
	const { name, email } = await hereOrThere(config, 'create-coach', input, made, async (context) => {
		const coach = await registerCoach(context, input, refuseWeak);
		await recordEvent(context, { kind: 'coach-made', coachId: coach.id });
		return coach;
	});
	console.log(`${name} can sign in with ${email}.`);
}

const backupSchema = object({ name: string().required(), bytes: number().required() });

async function backUpNow(config: Config): Promise<void> {
	const { name, bytes } = await hereOrThere(config, 'backup', {}, backupSchema, ({ db }) =>
		backUp(db, config, FILE_KINDS, realClock.now())
	);
	console.log(`${join(config.backups.directory, name)}, ${(bytes / 1024 / 1024).toFixed(1)} MB`);
}

/** The address given after the verb, or asked for. */
async function emailIn(args: string[]): Promise<{ email: string }> {
	const { values } = parseArgs({ args, options: { email: { type: 'string' } } });
	return { email: await ask('Email address of the coach', values.email) };
}

/** Where the application is reached when nobody says. */
const DEFAULT_ORIGIN = 'http://localhost:3000';

async function linkForPassword(config: Config, args: string[]): Promise<void> {
	const body = await emailIn(args);
	const { link } = await hereOrThere(
		config,
		'reset-password',
		body,
		object({ link: string().required() }),
		async (context) => ({
			link: await resetLinkFor(context, body.email, config.origin ?? DEFAULT_ORIGIN)
		})
	);
	console.log(`This link sets a new password for ${body.email}, once, within 30 minutes:\n${link}`);
}

async function endSecondFactor(config: Config, args: string[]): Promise<void> {
	const body = await emailIn(args);
	await hereOrThere(config, 'second-factor-off', body, object({}), async (context) => {
		await endSecondFactorFor(context, body.email);
		return {};
	});
	console.log(`Two-step sign-in is off for ${body.email}.`);
}

async function restoreFrom(config: Config, file: string | undefined): Promise<void> {
	if (!file) throw new CannotStart('Which backup? npm run admin -- restore FILE');
	const { at, schema, version, compared } = await restore(file, config, FILE_KINDS);
	console.log(`Restored what was backed up on ${at} by version ${version} (schema ${schema}).`);
	const { whole, missing, unspoken } = compared;
	if (whole > 0) console.log(`${whole} documents, photographs and clips are there.`);
	sayPaths(`${missing.length} are not in the backup, though the database speaks of them:`, missing);
	sayPaths(`${unspoken.length} files are of nobody, and are removed within two days:`, unspoken);
}

/** Paths that are written out. */
const MOST_PATHS = 50;

function sayPaths(head: string, paths: readonly string[]): void {
	if (paths.length === 0) return;
	const shown = paths.slice(0, MOST_PATHS).map((path) => `  ${path}`);
	if (paths.length > MOST_PATHS) shown.push(`  and ${paths.length - MOST_PATHS} more`);
	console.log([head, ...shown].join('\n'));
}

/** Verbs that see to the database themselves. */
const BESIDE: Record<string, (config: Config, args: string[]) => Promise<void>> = {
	'create-coach': makeCoach,
	backup: backUpNow,
	restore: (config, [file]) => restoreFrom(config, file),
	'reset-password': linkForPassword,
	'second-factor-off': endSecondFactor
};

async function main([verb, ...args]: string[]): Promise<number> {
	const verbs: Record<string, (context: Context) => Promise<void>> = {
		rebuild: async (context) => console.log(`Recalculated ${counted(await rebuild(context), 'enrolment')}.`),
		migrate: async ({ db }) => console.log(`The database is at schema ${await schemaVersion(db)}.`)
	};
	const config = readConfig(process.env);
	const beside = verb ? BESIDE[verb] : undefined;
	if (beside) {
		await beside(config, args);
		return 0;
	}
	const task = verb ? verbs[verb] : undefined;
	if (!task) {
		console.log(USAGE);
		return verb ? 2 : 0;
	}
	await withDatabase(config, task);
	return 0;
}

try {
	process.exitCode = await main(process.argv.slice(2));
} catch (error) {
	if (!(error instanceof Refusal) && !(error instanceof CannotStart)) throw error;
	console.error(error.message);
	if (error instanceof Refusal)
		for (const fault of error.faults) console.error(`  ${fault.field}: ${fault.message}`);
	process.exitCode = 1;
}
