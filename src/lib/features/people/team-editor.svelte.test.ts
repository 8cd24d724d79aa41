import { describe, expect, it } from 'vitest';
import type { Mate } from '$core/people';
import { TeamEditor } from './team-editor.svelte';

const MATES: Mate[] = ['a', 'b', 'c', 'd', 'e'].map((id, i) => ({
	id,
	level: i % 2 ? 'trained' : 'beginner',
	done: null,
	dawn: i * 60,
	trains: i * 60
}));
const editor = (more: Partial<TeamEditor['whole']> = {}) =>
	new TeamEditor({ teams: [], buddies: [], wishes: [], ...more }, () => MATES);

describe('teams by hand', () => {
	it('take somebody from one into another, and into none', () => {
		const one = editor({
			teams: [
				{ name: 'Ridge', people: ['a', 'b'] },
				{ name: 'Valley', people: ['c'] }
			]
		});
		expect(one.rest).toEqual(['d', 'e']);
		one.move('a', 1);
		expect(one.teams.map(({ people }) => people)).toEqual([['b'], ['c', 'a']]);
		one.move('a', null);
		expect(one.rest).toEqual(['a', 'd', 'e']);
		one.undo();
		expect(one.teams[1]?.people).toEqual(['c', 'a']);
		// Where somebody is already, nothing is a step.
		one.begin(one.whole);
		one.move('a', 1);
		expect(one.changed).toBe(false);
		expect(one.canUndo).toBe(false);
	});

	it('are added under a name that none has, renamed and taken away', () => {
		const one = editor({ teams: [{ name: 'Team 2', people: ['a'] }] });
		one.addTeam();
		expect(one.teams.map(({ name }) => name)).toEqual(['Team 2', 'Team 3']);
		one.rename(1, 'Valley');
		one.removeTeam(0);
		expect(one.teams).toEqual([{ name: 'Valley', people: [] }]);
		expect(one.rest).toContain('a');
	});

	it('divided anew keep their names and the wishes', () => {
		const one = editor({
			teams: [{ name: 'Ridge', people: [] }],
			wishes: [{ kind: 'together', pair: ['a', 'e'] }]
		});
		one.divide('by level', 2, '1');
		expect(one.teams.map(({ name }) => name)).toEqual(['Ridge', 'Team 2']);
		expect(one.rest).toEqual([]);
		expect(one.broken).toEqual([]);
		one.move('a', one.teams[0]!.people.includes('a') ? 1 : 0);
		expect(one.broken).toEqual(one.wishes);
	});
});

describe('buddies', () => {
	it('are paired by hand; whom they had stays with the others of theirs', () => {
		const one = editor({
			buddies: [
				['a', 'b'],
				['c', 'd', 'e']
			]
		});
		one.join('a', 'c');
		expect(one.buddies).toEqual([
			['d', 'e'],
			['a', 'c']
		]);
		expect(one.alone).toEqual(['b']);
		one.part(0);
		expect(one.alone).toEqual(['b', 'd', 'e']);
		one.pair('alone', '1');
		expect(one.buddies).toEqual([
			['a', 'c'],
			['b', 'd', 'e']
		]);
		one.pair('everybody', '1');
		expect(one.buddies.map((group) => group.length).sort()).toEqual([2, 3]);
	});
});

it('of the same two the last wish holds, and nobody has one about themselves', () => {
	const one = editor();
	one.wish('together', 'a', 'b');
	one.wish('apart', 'b', 'a');
	one.wish('apart', 'c', 'c');
	expect(one.wishes).toEqual([{ kind: 'apart', pair: ['b', 'a'] }]);
	one.unwish(0);
	expect(one.wishes).toEqual([]);
});
