import { expect, it } from 'vitest';
import { byName } from './by-name';

it('sorts as an address book does', () => {
	const named = (names: string[]) => names.map((name) => ({ name }));
	expect(named(['Zlata', 'Åse', 'oren', 'Bao', 'Łucja', 'Oren']).sort(byName)).toEqual(
		named(['Åse', 'Bao', 'Łucja', 'oren', 'Oren', 'Zlata'])
	);
});
