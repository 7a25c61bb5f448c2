import { json } from '@sveltejs/kit';

export const POST = async ({ request }) => json({ ok: true, out: await request.json() });
