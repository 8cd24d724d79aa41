import type { Job } from '../../platform/jobs';

/** Every night, where backups are made at all. */
export const backupJob = (backUp: () => Promise<unknown>, kept: number): Job<object> => ({
	name: 'backup',
	what: 'Backs up the database',
	...(kept > 0 && { every: '41 2 * * *' }),
	retries: 2,
	run: async () => {
		await backUp();
	}
});
