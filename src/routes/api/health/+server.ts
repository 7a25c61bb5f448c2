import { json } from '@sveltejs/kit';

/** The process lives and answers. Whether it can do its work is asked at /api/health/ready. */
export const GET = () => json({ ok: true });
