import type { DesignEdit, SiteDesign } from '$core/design';
import { applyEdit } from '$core/design';
import { assessSite } from '$core/design/assess';
import type { ChangedLength, PlanLength } from '$core/design/lengths';
import { changedLengths, planLengths } from '$core/design/lengths';
import type { Thing } from '$core/design/planThings';
import { cornerAt, planThings, putAt } from '$core/design/planThings';
import type { Check } from '$core/kernel/check';
import { Memo } from '$core/kernel/memo';
import type { Position } from '$core/site/position';
import type { SiteState } from '$lib/client/siteState.svelte';
import type { PlanView } from './planView';
import { fitted } from './planView';

/** What is held and not let go yet: a thing, or one corner of a tray, and where it is meanwhile. */
export interface Held {
  readonly thing: Thing;
  readonly corner: number | null;
  readonly to: Position;
}

/** What is being drawn by clicks on the plan: its points so far, all at one height. */
export interface Drawing {
  readonly what: 'tray' | 'room' | 'spot';
  readonly zM: number;
  readonly points: readonly Position[];
  /** Takes what was drawn once it has its points. */
  readonly done: (points: readonly Position[]) => void;
}
/** Points after which a thing is drawn; a tray ends where its drawer says. */
const POINTS_OF = { room: 2, spot: 1, tray: 60 } as const;

/** What would change if it were let go here. */
export interface PlanNews {
  readonly lengths: readonly ChangedLength[];
  readonly checks: readonly { readonly check: Check; readonly was: Check }[];
}

export const keyOf = ({ kind, id }: Pick<Thing, 'kind' | 'id'>) => `${kind} ${id}`;
const checkKey = (c: Check) => `${c.id} ${c.subject.path}`;

/** Along either axis of the plan, for tags stand in rows. */
function leastGap(units: readonly Thing[]): number {
  const gaps = units.flatMap((a, i) =>
    units.slice(i + 1).map((b) => {
      const [p, q] = [a.position, b.position];
      return p && q ? Math.max(Math.abs(p.xM - q.xM), Math.abs(p.yM - q.yM)) : Infinity;
    }),
  );
  return Math.min(Infinity, ...gaps);
}

/** After so long without a move what changes is reckoned, ms: while the hand moves the thing alone does. */
const STILL_MS = 40;

/** The plan on screen: how it lies, what is picked, what is held. */
export class PlanState {
  readonly #site: SiteState;
  view = $state.raw<PlanView>({ k: 10, x: 0, y: 0 });
  /** Key of the thing that is picked. */
  picked = $state('');
  held = $state.raw<Held | null>(null);
  drawing = $state.raw<Drawing | null>(null);
  /** The level that is shown; empty: all. */
  levelId = $state('');
  /** The length whose way is drawn. */
  touched = $state.raw<PlanLength | null>(null);
  /** What would change; null while it is not reckoned. */
  news = $state.raw<PlanNews | null>(null);
  readonly things: readonly Thing[] = $derived(planThings(this.design));
  readonly lengths: readonly PlanLength[] = $derived(planLengths(this.design));
  readonly pickedThing: Thing | null = $derived(this.things.find((t) => keyOf(t) === this.picked) ?? null);
  readonly nowhere: readonly Thing[] = $derived(
    this.things.filter((t) => t.position === null || (t.kind === 'wall' && t.facesDeg === null)),
  );
  /** The least distance between two units, m: how much room their tags have. */
  readonly unitGapM: number = $derived(leastGap(this.things.filter((t) => t.kind === 'unit' && t.position)));
  readonly #memo = new Memo();
  #timer: ReturnType<typeof setTimeout> | undefined;

  constructor(site: SiteState) {
    this.#site = site;
  }

  get design(): SiteDesign {
    return this.#site.design;
  }

  /** The edit that would let go of what is held. */
  get #edit(): DesignEdit | null {
    const { held } = this;
    if (!held) return null;
    return held.corner === null
      ? putAt(this.design, held.thing, held.to)
      : cornerAt(this.design, held.thing.id, held.corner, held.to);
  }

  hold(held: Held): void {
    this.picked = keyOf(held.thing);
    this.held = held;
    this.news = null;
    clearTimeout(this.#timer);
    this.#timer = setTimeout(() => (this.news = this.#reckoned()), STILL_MS);
  }

  takeBack(): void {
    clearTimeout(this.#timer);
    this.held = this.news = null;
  }

  letGo(): void {
    const edit = this.#edit;
    this.takeBack();
    if (edit) void this.#site.apply(edit);
  }

  /** Puts a thing that is nowhere yet on the plan. */
  put(thing: Thing, to: Position): void {
    this.picked = keyOf(thing);
    void this.#site.apply(putAt(this.design, thing, to));
  }

  /** Another point of what is being drawn. */
  point(xM: number, yM: number): void {
    const { drawing } = this;
    if (!drawing) return;
    const points = [...drawing.points, { xM, yM, zM: drawing.zM }];
    this.drawing = { ...drawing, points };
    if (points.length === POINTS_OF[drawing.what]) this.endDrawing();
  }

  endDrawing(): void {
    const { drawing } = this;
    this.drawing = null;
    if (drawing?.points.length) drawing.done(drawing.points);
  }

  /** Whether a thing stands on the level that is shown: from its floor to the next one's. */
  onLevel(thing: Thing): boolean {
    const levels = [...this.design.plan.levels].sort((a, b) => a.zM - b.zM);
    const at = levels.findIndex((l) => l.id === this.levelId);
    const level = levels[at];
    if (!level || thing.position === null) return true;
    const z = thing.position.zM;
    return (at === 0 || z >= level.zM) && z < (levels[at + 1]?.zM ?? Infinity);
  }

  #reckoned(): PlanNews | null {
    const edit = this.#edit;
    if (!edit) return null;
    const there = applyEdit(this.design, edit);
    const was = new Map(this.#site.assessment.checks.map((c) => [checkKey(c), c]));
    return {
      lengths: changedLengths(this.lengths, planLengths(there)),
      checks: assessSite(there, this.#memo).checks.flatMap((check) => {
        const before = was.get(checkKey(check));
        return before && before.verdict !== check.verdict ? [{ check, was: before }] : [];
      }),
    };
  }

  /** Everything in sight. */
  fit(widthPx: number, heightPx: number): void {
    this.view = fitted(
      this.things.flatMap((t) => t.shape),
      widthPx,
      heightPx,
    );
  }
}
