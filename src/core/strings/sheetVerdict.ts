import type { SheetFinding } from '../equipment/sheetFinding';
import type { Judgement } from '../kernel/judgement';
import { found } from '../kernel/judgement';

/** What findings on a sheet come to: an error stops, a caution is tight. */
export function sheetVerdict(findings: readonly SheetFinding[]): Judgement {
  if (findings.length === 0) return found('holds', () => ['No finding on the data sheet']);
  const worst = findings.some((f) => f.severity === 'error') ? 'stop' : 'tight';
  return found(worst, () => findings.map((f) => `${f.code} ${f.field}: ${f.text}`));
}
