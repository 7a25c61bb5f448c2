import { unpacked } from '$lib/ui/job/unpacked.ts';
import type { PageLoad } from './$types';

export const load: PageLoad = ({ data, fetch }) => unpacked(data, fetch);
