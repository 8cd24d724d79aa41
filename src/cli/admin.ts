import { createInterface } from 'node:readline/promises';
import { parseArgs } from 'node:util';
import { createCoach } from '$lib/server/auth/coach';
import { realClock } from '$lib/server/platform/clock';
import { rebuild } from '$lib/server/attendance/projection';
import { readConfig } from '$lib/server/platform/config';
import type { Context } from '$lib/server/platform/context';
import { DirectoryInUse } from '$lib/server/db/lock';
import { migrate, schemaVersion } from '$lib/server/db/migrate';
import { openDatabase } from '$lib/server/db/open';
import { Refusal } from '$lib/server/platform/errors';
import { randomIds } from '$lib/server/platform/ids';

const USAGE = `npm run admin -- <verb>

  create-coach   makes a coach who can sign in; asks for what is not given
                 --email runa@example.org --name "Runa Hallgren" --zone Europe/Oslo
                 the password comes from the prompt or from CADREX_PASSWORD
  rebuild        works out every enrolment's sums anew from its check-ins
  migrate        brings the database to the schema of this version`;

async function ask(question: string, given: string | undefined): Promise<string> {
	if (given !== undefined) return given;
	const prompt = createInterface({ input: process.stdin, output: process.stdout });
	try {
		return await prompt.question(`${question}: `);
	} finally {
		prompt.close();
	}
}

async function makeCoach(context: Context, args: string[]): Promise<void> {
	const text = { type: 'string' } as const;
	const { values } = parseArgs({ args, options: { email: text, name: text, zone: text } });
	const coach = await createCoach(context, {
		email: await ask('Email address', values.email),
		name: await ask('Name', values.name),
		zone: await ask('Time zone (as in Europe/Oslo)', values.zone),
		password: await ask('Password (12 letters or more; it is shown as you type)', process.env.CADREX_PASSWORD)
	});
	console.log(`${coach.name} can sign in with ${coach.email}.`);
}

async function main([verb, ...args]: string[]): Promise<number> {
	const verbs: Record<string, (context: Context) => Promise<void>> = {
		'create-coach': (context) => makeCoach(context, args),
		rebuild: async (context) => console.log(`Worked out ${await rebuild(context)} enrolments anew.`),
		migrate: async ({ db }) => console.log(`The database has schema ${await schemaVersion(db)}.`)
	};
	const task = verb ? verbs[verb] : undefined;
	if (!task) {
		console.log(USAGE);
		return verb ? 2 : 0;
	}
	const db = await openDatabase(readConfig(process.env));
	try {
		await migrate(db);
		await task({ db, clock: realClock, ids: randomIds });
		return 0;
	} finally {
		await db.close();
	}
}

try {
	process.exitCode = await main(process.argv.slice(2));
} catch (error) {
	if (!(error instanceof Refusal) && !(error instanceof DirectoryInUse)) throw error;
	console.error(error.message);
	if (error instanceof Refusal)
		for (const fault of error.faults) console.error(`  ${fault.field}: ${fault.message}`);
	process.exitCode = 1;
}
