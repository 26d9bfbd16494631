import type { SiteDesign } from '../../design';
import type { Entry } from '../entry';
import type { GateKey, GateRow, GateState } from '../gates/machine';
import { gateKey } from '../gates/machine';
import type { GateNet, Node } from '../gates/net';
import type { GateView } from '../gates/states';
import { gateStates } from '../gates/states';
import { GATE_TABLE } from '../gates/table';
import type { Application } from './apply';
import { netOf } from './siteModel';
import type { Stand } from './state';
import { partOfKey } from './state';

/** A gate as every possible order of the work leaves it: the worst of them. */
export interface GateProof extends GateView {
  /** Why it is not closed, or what withdrew it, in words. */
  readonly why: string | null;
  /** The entry whose reading rules; null where none does. */
  readonly by: Entry | null;
}

/** Worst first: what is not closed in one order is not closed. */
const WORST: readonly GateState[] = [
  'failed',
  'stale',
  'caution',
  'locked',
  'open',
  'waived',
  'accepted',
  'passed',
  'n/a',
];

/** Every gate of a site as its record leaves it. The words of one are found when somebody reads it: a site has thousands. */
export class GateProofs implements Iterable<readonly [GateKey, GateProof]> {
  /** Null while nothing is released: such a site has no gates. */
  readonly #net: GateNet | null;
  readonly #views: readonly (readonly GateView[])[];
  readonly #made: (GateProof | undefined)[] = [];

  constructor(
    private readonly states: readonly Application[],
    design: SiteDesign | null,
    private readonly notes: ReadonlyMap<string, string>,
  ) {
    const net = design && netOf(design);
    this.#net = net;
    this.#views = net
      ? states.map(({ moment }) => gateStates(net, (gate, object) => moment.stand(gate, object).result))
      : [];
  }

  get(key: GateKey): GateProof | undefined {
    const [gate, object] = partOfKey(key);
    const row = GATE_TABLE.find((r) => r.id === gate);
    return row && this.of(row, object);
  }

  of(row: GateRow, object: string): GateProof | undefined {
    const place = this.#net?.placeOf(row, object);
    return this.#net && place !== undefined ? this.#at(this.#net.nodes[place] as Node, place) : undefined;
  }

  *[Symbol.iterator](): Iterator<readonly [GateKey, GateProof]> {
    for (const [i, node] of (this.#net?.nodes ?? []).entries())
      yield [gateKey(node.row.id, node.object), this.#at(node, i)];
  }

  #at(node: Node, place: number): GateProof {
    return (this.#made[place] ??= this.#proofOf(node, place));
  }

  #proofOf({ row: gate, object }: Node, place: number): GateProof {
    const at = worstOf(this.#views, place);
    const view = this.#views[at]?.[place] as GateView;
    const app = this.states[at] as Application;
    const stand = app.moment.stand(gate.id, object);
    const waitsFor = view.state === 'stale' ? app.openFor(gate, object) : view.waitsFor;
    const by = stand.ruling?.by ?? null;
    return { gate, object, state: view.state, waitsFor, by, why: whyOf(view, stand, this.notes) };
  }
}

/** Among states side by side, the one that leaves a gate worst. */
function worstOf(views: readonly (readonly GateView[])[], gate: number): number {
  let worst = 0;
  const rank = (v: number) => WORST.indexOf(views[v]?.[gate]?.state ?? 'failed');
  for (let v = 1; v < views.length; v++) if (rank(v) < rank(worst)) worst = v;
  return worst;
}

function whyOf(view: GateView, stand: Stand, notes: ReadonlyMap<string, string>): string | null {
  if (view.state === 'stale')
    return (
      stand.ruling?.broken ?? stand.waived?.broken ?? (view.waitsFor[0] ? `${view.waitsFor[0]} is not closed` : null)
    );
  const last = stand.readings.at(-1);
  if ((view.state === 'open' || view.state === 'locked') && last)
    return notes.get(last.by.id) ?? 'The newest reading proves nothing.';
  return null;
}
