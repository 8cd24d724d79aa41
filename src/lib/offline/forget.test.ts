import { describe, expect, it } from 'vitest';
import { forgetPerson } from './forget';

function storage(kept: Record<string, string>): Storage {
	const store = Object.create({
		getItem: (key: string) => (store as Record<string, string>)[key] ?? null,
		removeItem: (key: string) => void Reflect.deleteProperty(store, key)
	}) as Storage;
	return Object.assign(store, kept);
}

describe('what a device keeps of a person', () => {
	it('goes, and what is a coach’s stays', async () => {
		const gone: string[] = [];
		const local = storage({
			'cadrex.sounds': '{}',
			'cadrex.heart': '{}',
			'cadrex.intake.e1': '{}',
			'cadrex.draft.c1.plan.x.w': '{}',
			'cadrex.window': 'w',
			other: 'x'
		});
		await forgetPerson({
			caches: { delete: (name) => (gone.push(`cache ${name}`), Promise.resolve(true)) },
			indexedDB: {
				deleteDatabase(name) {
					gone.push(`database ${name}`);
					const request = {} as IDBOpenDBRequest;
					queueMicrotask(() => void request.onsuccess?.(new Event('success')));
					return request;
				}
			},
			local
		});
		expect(gone).toEqual(['cache pages', 'database cadrex']);
		expect(Object.keys(local)).toEqual(['cadrex.draft.c1.plan.x.w', 'cadrex.window', 'other']);
	});

	it('goes as far as it can', async () => {
		const local = storage({ 'cadrex.sounds': '{}' });
		await forgetPerson({ caches: { delete: () => Promise.reject(new Error('refused')) }, local });
		expect(Object.keys(local)).toEqual([]);
	});
});
