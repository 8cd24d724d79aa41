import { describe, expect, it } from 'vitest';
import { loggedError, openLog, queryName } from './log';

const CANARY = 'knee of Oren since spring';

describe('an error in the log', () => {
	it('of the database says its code, constraint and query, and no value', () => {
		const error = Object.assign(new Error(`duplicate key value (${CANARY})`), {
			code: '23505',
			constraint: 'checkin_pkey',
			table: 'checkin',
			detail: `Key (note)=(${CANARY}) already exists.`,
			query: 'insert into checkin (id, note) values ($1, $2)',
			params: [1, CANARY]
		});
		const said = loggedError(error);
		expect(said).toMatchObject({
			type: 'Error',
			code: '23505',
			constraint: 'checkin_pkey',
			table: 'checkin',
			query: 'insert into checkin'
		});
		expect(said.stack[0]).toContain('log.test.ts');
		expect(JSON.stringify(said)).not.toContain(CANARY);
	});

	it.each([
		`Unexpected token, "${CANARY}" is not valid JSON`,
		`there is no “${CANARY}”`,
		`no zone '${CANARY}`,
		`nobody has oren@hutseason.example (oren@hutseason.example)`
	])('keeps its words without what somebody typed: %s', (message) => {
		const said = JSON.stringify(loggedError(new TypeError(message)));
		expect(said).not.toMatch(/knee|oren@/);
		expect(said).toContain('TypeError');
	});

	it('is not taken at its word when it is no error', () => {
		expect(loggedError(CANARY)).toEqual({ type: 'string', stack: [] });
		expect(loggedError(null)).toEqual({ type: 'object', stack: [] });
	});

	it('is written as that, whoever logs it', () => {
		const lines: string[] = [];
		const log = openLog('debug', { write: (line: string) => void lines.push(line) });
		log.error({ err: Object.assign(new Error(CANARY), { code: '22P02', params: [CANARY] }) }, 'failed');
		expect(JSON.parse(lines[0] ?? '')).toMatchObject({ err: { code: '22P02' }, msg: 'failed' });
		expect(lines.join()).not.toContain(CANARY);
	});
});

it.each([
	['insert into checkin (id) values ($1)', 'insert into checkin'],
	['  update participant set name = $1', 'update participant'],
	['delete from coach_login where id = $1', 'delete from coach_login'],
	['select a, (select 1 from x) from enrolment e', 'select from x'],
	['begin', 'begin'],
	['', '']
])('the query %j is called %j', (sql, name) => expect(queryName(sql)).toBe(name));
