import { expect, it } from 'vitest';
import { isMeant, type Addressee, type Audience } from './audience';

const one: Addressee = { id: 'a', team: 't1', level: 'beginner', reasons: ['fading', 'easy'], toDo: true };
const meant = (audience: Audience, who: Addressee = one) => isMeant(who, audience);

it('means everybody, or those of a team or level', () => {
	expect(meant({ kind: 'all' })).toBe(true);
	expect(meant({ kind: 'team', team: 't1' })).toBe(true);
	expect(meant({ kind: 'team', team: 't2' })).toBe(false);
	expect(meant({ kind: 'team', team: 't1' }, { ...one, team: null })).toBe(false);
	expect(meant({ kind: 'level', level: 'beginner' })).toBe(true);
	expect(meant({ kind: 'level', level: 'trained' })).toBe(false);
});

it('means those who need the coach for any reason of a kind, and those with work to do', () => {
	expect(meant({ kind: 'need', group: 'retention' })).toBe(true);
	expect(meant({ kind: 'need', group: 'adaptation' })).toBe(true);
	expect(meant({ kind: 'need', group: 'praise' })).toBe(false);
	expect(meant({ kind: 'to do' })).toBe(true);
	expect(meant({ kind: 'to do' }, { ...one, toDo: false })).toBe(false);
});

it('means those who were chosen', () => {
	expect(meant({ kind: 'people', ids: ['b', 'a'] })).toBe(true);
	expect(meant({ kind: 'people', ids: ['b'] })).toBe(false);
});
