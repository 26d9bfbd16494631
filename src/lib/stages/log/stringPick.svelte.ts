import { page } from '$app/state';
import type { EntrySubject } from '$core/proving/entry';
import type { GateId, GateState } from '$core/proving/gates/machine';
import { lineOf } from '$core/site/line';
import type { LogState } from '$lib/client/logState.svelte';

/** Gates of a string, in the order in which they close. */
export const STRING_GATES: readonly GateId[] = ['D-ID', 'D-POL', 'D-VOC', 'D-IR', 'D-ISC'];
/** Gates that one reading at the plug closes. */
const AT_THE_PLUG: readonly GateId[] = ['D-POL', 'D-VOC'];
/** What needs eyes, the worst first. */
const TROUBLE: readonly GateState[] = ['failed', 'stale', 'caution'];
/** What is measured at a string, after its tag. */
export const STRING_KINDS = ['string-test', 'dc-insulation', 'string-current', 'earth-fault'] as const;

/**
 * The string that the crew stands at, and the entry of it that is being corrected. Opens at the first that has no voltage yet, and goes on to the
 * next with a reading of its own: what others record meanwhile moves nothing under its hands.
 */
export class StringPick {
  readonly log: LogState;
  /** Where the address leads: a string, or a unit. */
  readonly #at = $derived.by(() => page.url.searchParams.get('at') ?? '');
  #unitId = $derived.by(() => {
    const { design } = this;
    const led = design && lineOf(design).string(this.#at)?.string.place?.inverterId;
    return led ?? this.#at;
  });
  #stringId = $derived.by(() => this.#at);
  #stood = $state('');
  correcting = $state<string | null>(null);
  reason = $state('');

  constructor(log: LogState) {
    this.log = log;
    $effect(() => {
      if (this.string && !this.strings.some((s) => s.id === this.#stood)) this.#stood = this.string.id;
    });
  }

  readonly design = $derived.by(() => this.log.current?.design);
  readonly unit = $derived.by(
    () => this.design?.inverters.find((i) => i.id === this.#unitId) ?? this.design?.inverters[0],
  );
  readonly strings = $derived.by(() =>
    this.design ? lineOf(this.design).printedStrings.filter((s) => s.place?.inverterId === this.unit?.id) : [],
  );
  readonly string = $derived.by(
    () =>
      this.strings.find((s) => s.id === this.#stringId) ??
      this.strings.find((s) => s.id === this.#stood) ??
      this.strings.find((s) => AT_THE_PLUG.some((gate) => this.stateOf(gate, s.id) === 'open')) ??
      this.strings[0],
  );
  readonly module = $derived.by(() =>
    this.design && this.string ? lineOf(this.design).plane(this.string.planeId)?.module : undefined,
  );
  readonly subject = $derived.by((): EntrySubject => ({ scope: 'string', id: this.string?.id ?? '' }));
  readonly correctingKind = $derived.by(() => this.log.entries.find((e) => e.id === this.correcting)?.kind);

  stateOf(gate: GateId, id: string): GateState {
    return this.log.evidence.gate(gate, id)?.state ?? 'locked';
  }
  /** What a string shows from afar: trouble at any of its gates, else how its voltage stands. */
  markOf(id: string): GateState {
    const states = STRING_GATES.map((gate) => this.stateOf(gate, id));
    return TROUBLE.find((state) => states.includes(state)) ?? this.stateOf('D-VOC', id);
  }
  pickUnit(id: string): void {
    this.#unitId = id;
    this.#stringId = '';
    this.done();
  }
  pickString(id: string): void {
    this.#stringId = id;
    this.done();
  }
  /** What was begun is on record, or given up. */
  readonly done = (): void => {
    this.#stood = '';
    this.correcting = null;
    this.reason = '';
  };
}
