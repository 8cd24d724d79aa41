import { readKit } from '$core/kit';
import type { Queries } from '../database';

/** What people own was kept as they wrote it; now it is data, with what is not understood of it beside. */
export async function up(tx: Queries): Promise<void> {
	const people = await tx.query<{ id: string; equipment: string[] }>('select id, equipment from participant');
	const rows = people.map(({ id, equipment }) => {
		const { kit, unread } = readKit(equipment.join('; '));
		return { id, kit, unread };
	});
	await tx.query(
		`update participant p set kit = r.kit, kit_unread = r.unread
		 from jsonb_to_recordset($1::jsonb) as r(id uuid, kit jsonb, unread text[]) where p.id = r.id`,
		[JSON.stringify(rows)]
	);
	await tx.query('alter table participant drop column equipment');
}
