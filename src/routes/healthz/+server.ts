import { isWell } from '$lib/server/services/health';
import { Problem } from '$lib/server/problem';
import { json } from '@sveltejs/kit';

export async function GET() {
  if (await isWell()) return json({ status: 'ok', database: 'ok' });
  return new Problem(503, 'Database does not answer', 'The server runs, its database does not answer.', []).response();
}
