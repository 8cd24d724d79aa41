/** Messages for the moments that every challenge has, for a coach who has no templates yet. Common practice, no source. */
export interface Starter {
	name: string;
	subject: string;
	text: string;
}

export const STARTERS: readonly Starter[] = [
	{
		name: 'Welcome',
		subject: 'Welcome to {challenge}',
		text: `Hi {name},

Welcome to {challenge}. Before day one, please open your link and answer the questions about you, what you have at home and what hurts: about four minutes. Your sessions are made from the answers.

You need no experience, and nothing has to be perfect. If a day doesn’t work out, the next one does.

Write to me whenever something is unclear.

{coach}`
	},
	{
		name: 'Day one',
		subject: 'Day one of {challenge}',
		text: `Hi {name},

Today we begin. Open the session when it suits you, have your things ready beside you, and press Start: it leads you through.

Go easy today. You should finish with the feeling that you could have done a little more. If anything hurts, tap “This hurts” and leave it out.

{coach}`
	},
	{
		name: 'Halfway',
		subject: 'Halfway',
		text: `Hi {name},

Half of it is done: {sessions done} sessions so far, and {days left} days to go.

The second half is where the first one pays off. What has worked for you, and what should I change? A line is enough.

{coach}`
	},
	{
		name: 'Last week',
		subject: 'The last week',
		text: `Hi {name},

{days left} days to go. The sessions are a little shorter before the final test, so that you come to it fresh. Sleep well the night before.

On the last day we compare with your first test. Yours, with nobody else’s.

{coach}`
	}
];
