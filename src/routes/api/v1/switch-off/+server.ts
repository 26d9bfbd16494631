import { answer } from '$lib/server/api/answer';
import { sitesToSwitchOff } from '$lib/server/services/records';
import type { RequestHandler } from './$types';

export const GET: RequestHandler = ({ locals }) => answer(() => sitesToSwitchOff(locals.context));
