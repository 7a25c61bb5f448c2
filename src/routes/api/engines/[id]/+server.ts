import { json } from '@sveltejs/kit';
import { api } from '$lib/server/http.ts';
import { engineById } from '$lib/server/repositories/engines.ts';
import type { RequestEvent } from './$types';

/** An engine with its data sheet as it stands now. */
export const GET = api(async (event: RequestEvent) => json({ ok: true, out: await engineById(event.params.id) }));
