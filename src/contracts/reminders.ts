/** Push subscriptions and the choice of reminders. */
import { boolean, object, string } from 'yup';

const BASE64URL = /^[\w-]+$/;
const says = 'is what this browser gave for notifications; turn reminders on again';

/** A push service is reached over TLS at a name (RFC 8030, 2 and 8): never at an address or a port of someone's own network. */
function isPushService(value: string): boolean {
	if (!URL.canParse(value)) return false;
	const { protocol, hostname, port, username, password } = new URL(value);
	return (
		protocol === 'https:' &&
		port === '' &&
		username === '' &&
		password === '' &&
		hostname.includes('.') &&
		/[a-z]$/i.test(hostname)
	);
}

/** Reminders that a device receives. */
export const reminderChoiceSchema = object({
	sessions: boolean().default(false),
	messages: boolean()
		.default(false)
		.test('any', 'choose at least one reminder', (messages, { parent }) =>
			Boolean(messages || (parent as { sessions?: boolean }).sessions)
		)
});

/** A subscription as `PushSubscription.toJSON()` gives it: keys of RFC 8291, base64url. */
export const subscriptionSchema = object({
	endpoint: string()
		.required(says)
		.max(1000, says)
		.test('address', says, (value) => isPushService(value ?? '')),
	// 65 bytes: an uncompressed point of P-256.
	p256dh: string().required(says).length(87, says).matches(BASE64URL, says).matches(/^B/, says),
	// 16 bytes.
	auth: string().required(says).length(22, says).matches(BASE64URL, says)
}).concat(reminderChoiceSchema);
