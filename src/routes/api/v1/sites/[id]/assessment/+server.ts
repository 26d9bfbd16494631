import { assessSite } from '$core/assess';
import { answer } from '$lib/server/api/answer';
import { loadDesign } from '$lib/server/services/designs';
import type { RequestHandler } from './$types';

export const GET: RequestHandler = ({ params }) => answer(async () => assessSite((await loadDesign(params.id)).design));
