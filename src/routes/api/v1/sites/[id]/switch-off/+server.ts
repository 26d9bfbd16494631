import { answer } from '$lib/server/api/answer';
import { unitsToSwitchOff } from '$lib/server/services/openedSite';
import type { RequestHandler } from './$types';

export const GET: RequestHandler = ({ params, locals }) => answer(() => unitsToSwitchOff(locals.context, params.id));
