import { json } from '@sveltejs/kit';
import { api } from '$lib/server/http.ts';
import { stock } from '$lib/server/repositories/stock.ts';

/** The parts in the tray with how many are left. */
export const GET = api(async () => json({ ok: true, out: await stock() }));
