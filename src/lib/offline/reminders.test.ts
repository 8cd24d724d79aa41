import { describe, expect, it } from 'vitest';
import { notificationOf, readNotice } from './reminders';

const NOTICE = { title: 'Day 24 is open', body: 'Ready.', url: '/me', tag: 'session', stop: 'a-b' };

describe('readNotice', () => {
	it('reads what the server sends', () => {
		expect(readNotice(JSON.stringify(NOTICE))).toEqual(NOTICE);
		expect(readNotice(JSON.stringify({ ...NOTICE, url: '/me/messages' }))?.url).toBe('/me/messages');
	});
	it.each(['', 'no JSON', '[]', '"text"', '{"title":"alone"}', JSON.stringify({ ...NOTICE, body: 7 })])(
		'makes nothing of %s',
		(text) => {
			expect(readNotice(text)).toBeNull();
		}
	);
	it.each(['https://elsewhere.example/', '//elsewhere.example', '/c/1', '/me/../c', 'javascript:1', 7, null])(
		'opens today instead of %s',
		(url) => {
			expect(readNotice(JSON.stringify({ ...NOTICE, url }))?.url).toBe('/me');
		}
	);
});

describe('notificationOf', () => {
	it('has one tap to open it and one to stop reminders', () => {
		const { title, options } = notificationOf(NOTICE);
		expect(title).toBe('Day 24 is open');
		expect(options.data).toEqual({ url: '/me', stop: 'a-b' });
		expect(options.actions).toEqual([{ action: 'stop', title: 'Stop reminders' }]);
	});
});
