import { page } from '$app/state';
import { untrack } from 'svelte';
import type { EntrySubject } from '$core/proving/entry';
import type { GateId } from '$core/proving/gates/machine';
import { gateKey, isClosed } from '$core/proving/gates/machine';
import { canBeWorked, openNow } from '$core/proving/openNow';
import { SIGNATURE } from '$core/proving/kinds/signature';
import type { LogState } from '$lib/client/logState.svelte';
import { signOn } from '$lib/client/signOn.svelte';

/** Gates of the site that come before those of a unit, and after. */
const BEFORE: readonly GateId[] = ['S-DOC', 'S-SAFE', 'S-EARTH', 'S-SUPPLY', 'S-PTO'];
const AFTER: readonly GateId[] = ['S-BUS', 'S-METER', 'S-ESTOP', 'S-SOAK', 'S-PERF', 'S-HAND'];
const OF_STRINGS = ['D-ID', 'D-POL', 'D-VOC', 'D-IR', 'D-ISC'] as const;

/** The unit that the crew stands at, with its gates and the one that is next. */
export class UnitPick {
  readonly log: LogState;
  #unitId = $state('');
  #chosen = $state('');
  /** The gate that was the next one when the crew came to it: what others record meanwhile moves nothing under its hands. */
  #stood = $state('');

  constructor(log: LogState) {
    this.log = log;
    this.#unitId = untrack(() => page.url.searchParams.get('at') ?? this.#firstWaiting());
    $effect(() => {
      if (this.current && !this.shown.some((g) => g.key === this.#stood)) this.#stood = this.current.key;
    });
  }

  /** Opens at the first unit that is not on grid yet, and stays where the crew is when it comes on. */
  #firstWaiting(): string {
    const units = this.log.current?.design.inverters ?? [];
    return (units.find((i) => !this.log.evidence.closed('I-ONGRID', i.id)) ?? units[0])?.id ?? '';
  }

  readonly design = $derived.by(() => this.log.current?.design);
  readonly unit = $derived.by(
    () => this.design?.inverters.find((i) => i.id === this.#unitId) ?? this.design?.inverters[0],
  );
  readonly #proofs = $derived.by(() => [...this.log.evidence.gates].map(([key, g]) => ({ key, ...g })));
  /** The gates of the unit, between those of the site. */
  readonly shown = $derived.by(() => {
    const ofSite = (ids: readonly GateId[]) =>
      this.#proofs.filter((g) => g.object === 'site' && ids.includes(g.gate.id));
    const own = this.#proofs.filter((g) => g.gate.scope === 'inverter' && g.object === this.unit?.id);
    return [...ofSite(BEFORE), ...own, ...ofSite(AFTER)].filter((g) => g.state !== 'n/a');
  });
  /** How many strings of the unit have each of their gates closed. */
  readonly stringGates = $derived.by(() => {
    const own = this.design?.strings.filter((s) => s.place?.inverterId === this.unit?.id) ?? [];
    const strings = new Set(own.map((s) => s.id));
    return OF_STRINGS.map((id) => {
      const proofs = this.#proofs.filter((g) => g.gate.id === id && strings.has(g.object));
      return { id, closed: proofs.filter((g) => isClosed(g.state)).length, of: proofs.length };
    });
  });
  /** The gate on screen: the one chosen, or the first that can be worked on. */
  readonly current = $derived.by(
    () =>
      this.shown.find((g) => g.key === this.#chosen) ??
      this.shown.find((g) => g.key === this.#stood) ??
      this.shown.find(canBeWorked) ??
      this.shown[0],
  );
  /** What is open on the whole site for whoever is signed on. */
  readonly open = $derived.by(() => openNow(this.log.evidence, signOn.by ? signOn.role : null));
  readonly onGrid = $derived.by(
    () => (this.unit && this.log.evidence.unit(this.unit.id).run.done.some((d) => d.state === 'ON_GRID')) ?? false,
  );
  readonly signed = $derived.by(() =>
    this.log.entries
      .filter(SIGNATURE.is)
      .findLast((r) => r.subject.id === this.unit?.id && !this.log.evidence.notes.has(r.id)),
  );
  readonly subjects = $derived.by((): { subject: EntrySubject; name: string }[] => [
    ...(this.unit ? [{ subject: { scope: 'inverter' as const, id: this.unit.id }, name: this.unit.tag }] : []),
    { subject: { scope: 'site', id: 'site' }, name: 'site' },
  ]);

  pickUnit(id: string): void {
    this.#unitId = id;
    this.#chosen = '';
    this.goOn();
  }
  /** To the gate that is next now. */
  goOn(): void {
    this.#stood = '';
  }
  /** Brings a gate on screen. */
  choose(key: string): void {
    this.#chosen = key;
  }
  /** Brings a gate on screen at one of its parts. */
  goTo(gate: GateId, object: string): void {
    if (object !== 'site') this.#unitId = object;
    this.choose(gateKey(gate, object));
  }
  /** Leaves a gate that was worked on, unless somebody went on to another meanwhile. */
  leave(key: string): void {
    if (this.#chosen === key) this.#chosen = '';
    if (this.#stood === key) this.goOn();
  }
  sign(): void {
    if (!this.unit) return;
    void this.log.add({
      kind: 'signature',
      subject: { scope: 'inverter', id: this.unit.id },
      values: { statement: 'Switched on in order and left feeding.' },
    });
  }
}
