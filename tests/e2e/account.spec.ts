import { join } from 'node:path';
import { TOTP } from 'otpauth';
import { admin } from '../support/admin';
import { noBarriers } from './barriers';
import { expect, ready, signIn, test } from './support';

const PASSWORD = 'lantern rope cocoa ridge';

/** A coach of a test's own, made on the command line while the application runs. */
async function newCoach(name: string, worker: number): Promise<{ email: string; password: string }> {
	const email = `${name.toLowerCase()}@hutseason.example`;
	const args = ['create-coach', '--email', email, '--name', name, '--zone', 'Europe/Helsinki'];
	const directory = join(process.cwd(), '.cache', `e2e-data-${worker}`);
	const made = await admin(directory, args, { CADREX_PASSWORD: PASSWORD });
	expect(made.stdout + made.stderr).toContain('can sign in');
	return { email, password: PASSWORD };
}

test('two-step sign-in: set up with the key, asked for at the next sign-in, turned off', async ({
	page,
	site
}, info) => {
	expect(site).toBeTruthy();
	const maarit = await newCoach('Maarit', info.parallelIndex);
	await signIn(page, maarit);
	await page.goto('/account');
	await ready(page);
	await page.getByRole('button', { name: 'Set up two-step sign-in' }).click();
	await expect(page.getByRole('img', { name: 'QR code' })).toBeVisible();
	await noBarriers(page, 'account, with a key');
	await page.getByLabel('Enter the six digits').fill('000 000');
	await page.getByRole('button', { name: 'Turn on' }).click();
	await expect(page.getByRole('alert')).toContainText('This code isn’t right');
	const key = (await page.locator('p.break-all').innerText()).replaceAll(' ', '');
	await page.getByLabel('Enter the six digits').fill(new TOTP({ secret: key }).generate());
	await page.getByRole('button', { name: 'Turn on' }).click();
	await expect(page.getByText('Save these recovery codes.')).toBeVisible();
	const recovery = await page.locator('.remark li').first().innerText();
	await noBarriers(page, 'account, with recovery codes');

	await page.goto('/account');
	await ready(page);
	await expect(page.getByText('10 recovery codes left.')).toBeVisible();
	await page.getByRole('button', { name: 'Sign out everywhere' }).click();
	await expect(page).toHaveURL(/sign-in/);
	await ready(page);
	await page.getByLabel('Email address').fill(maarit.email);
	await page.getByLabel('Password').fill(maarit.password);
	await page.getByRole('button', { name: 'Sign in' }).click();
	await expect(page).toHaveURL(/sign-in\/code/);
	await ready(page);
	await noBarriers(page, 'sign-in code');
	await page.getByLabel('Code').fill('123456');
	await page.keyboard.press('Enter');
	await expect(page.getByRole('alert')).toContainText('This code isn’t right');
	await page.getByLabel('Code').fill(recovery);
	await page.keyboard.press('Enter');
	await page.waitForURL('**/challenges');
	await page.goto('/account');
	await ready(page);
	await expect(page.getByText('9 recovery codes left.')).toBeVisible();
	await expect(page.getByRole('cell', { name: 'Signed in with a recovery code' })).toBeVisible();
	await page.getByRole('button', { name: 'Turn off' }).click();
	await expect(page.getByText('Two-step sign-in is off.')).toBeVisible();
});

test('a password is changed, and a device ended, on the account page', async ({
	page,
	browser,
	site
}, info) => {
	const tuuli = await newCoach('Tuuli', info.parallelIndex);
	await signIn(page, tuuli);
	const other = await browser.newContext({ baseURL: site });
	const second = await other.newPage();
	await signIn(second, tuuli);
	await page.goto('/account');
	await ready(page);
	await page.getByRole('button', { name: /^Sign out Chrom/ }).click();
	await expect(page.getByText('That device is signed out.')).toBeVisible();
	await second.goto('/challenges');
	await expect(second).toHaveURL(/sign-in/);
	await other.close();

	const change = async (current: string, next: string) => {
		await page.getByLabel('Current password').fill(current);
		await page.getByLabel('New password').fill(next);
		await page.getByRole('button', { name: 'Change password' }).click();
	};
	await change('not the password', 'summit kettle blanket seven');
	await expect(page.getByText('This isn’t your current password.')).toBeVisible();
	await change(PASSWORD, 'password1234');
	await expect(page.getByText('would be guessed soon')).toBeVisible();
	await change(PASSWORD, 'summit kettle blanket seven');
	await expect(page.getByText('Password changed.')).toBeVisible();
	await expect(page.getByRole('cell', { name: 'Password changed' })).toBeVisible();
});

test('signing out everywhere ends every device', async ({ page, browser, demo }) => {
	await signIn(page, demo);
	const other = await browser.newContext();
	const second = await other.newPage();
	await signIn(second, demo);
	await page.goto('/account');
	await ready(page);
	await page.getByRole('button', { name: 'Sign out everywhere' }).click();
	await expect(page).toHaveURL(/sign-in/);
	await second.goto('/challenges');
	await expect(second).toHaveURL(/sign-in/);
	await other.close();
});
