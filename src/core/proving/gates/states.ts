import type { GateId, GateKey, GateResult, GateRow, GateState } from './machine';
import { gateKey, isClosed } from './machine';
import type { GateNet, Node } from './net';

export interface GateView {
  readonly gate: GateRow;
  readonly object: string;
  readonly state: GateState;
  /** Gates that must close first, when locked or stale by cascade. */
  readonly waitsFor: readonly GateKey[];
}

const NOTHING: readonly GateKey[] = [];

/**
 * The state of every gate, as one moment shows it, in the order of `net.nodes`. A join over no strings is not closed. The daily S-SAFE makes
 * nothing stale; while it is not closed, open gates with hands or live work and the permit are locked. Hand-over waits for every gate but
 * S-SAFE and I-PERMIT. `resultAt`: what the record says of a gate at a part.
 */
export function gateStates(
  net: GateNet,
  resultAt: (gate: GateId, object: string) => GateResult | null | undefined,
): GateView[] {
  const { nodes, safeDay } = net;
  const views: GateView[] = [];
  const closed = new Uint8Array(nodes.length);
  const open = (places: readonly number[]): number[] => {
    let found: number[] | null = null;
    for (const i of places) if (!closed[i]) (found ??= []).push(i);
    return found ?? NONE;
  };
  const keyAt = (i: number): GateKey => {
    const { row, object } = nodes[i] as Node;
    return gateKey(row.id, object);
  };
  for (const [i, node] of nodes.entries()) {
    const [state, waits] = stateOf(node, node.applies ? resultAt(node.row.id, node.object) : null);
    views.push({
      gate: node.row,
      object: node.object,
      state,
      waitsFor: waits.length ? waits.map(keyAt) : NOTHING,
    });
    closed[i] = isClosed(state) ? 1 : 0;
  }
  return views;

  function stateOf(node: Node, result: GateResult | null | undefined): readonly [GateState, readonly number[]] {
    const { row, overNothing } = node;
    if (!node.applies) return ['n/a', NONE];
    if (result === 'fail') return ['failed', NONE];
    if (result === 'stale' || result === 'caution') return [result, NONE];
    const notClosed = open(node.waitsFor);
    if (result) {
      const broken = row.cascade ? notClosed.filter((n) => n !== safeDay) : NONE;
      if (broken.length || (row.cascade && overNothing)) return ['stale', broken];
      return [result === 'pass' ? 'passed' : result, NONE];
    }
    const waits =
      node.onSafeDays && !closed[safeDay] && !notClosed.includes(safeDay) ? [...notClosed, safeDay] : notClosed;
    return [waits.length || overNothing ? 'locked' : 'open', waits];
  }
}
const NONE: number[] = [];
