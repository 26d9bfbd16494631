import { error } from '@sveltejs/kit';
import { plainCheck } from '$core/kernel/rule';
import { gateKey } from '$core/proving/gates/machine';
import { Problem } from './problem';
import type { Context } from './services/context';
import { readLogbook } from './services/records';

/** The logbook as the field screens read it: plain data, without the frozen designs but the current one. */
export async function fieldData(context: Context, siteId: string) {
  try {
    const { records, current, progress } = await readLogbook(context, siteId);
    return {
      records,
      current: current && { letter: current.letter, releasedBy: current.releasedBy, design: current.design },
      judged: (progress?.judged ?? []).map((j) => ({
        id: j.record.id,
        verdict: j.verdict,
        checks: j.checks.map(plainCheck),
      })),
      gates: [...(progress?.gates.values() ?? [])].map((g) => ({
        key: gateKey(g.gate.id, g.object),
        id: g.gate.id,
        object: g.object,
        state: g.state,
        waitsFor: g.waitsFor,
      })),
    };
  } catch (cause) {
    if (cause instanceof Problem) error(cause.status, cause.detail);
    throw cause;
  }
}
