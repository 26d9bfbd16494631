import type { Backdrop } from '$core/site/plan';
import { ApiProblem, post } from '$lib/client/api';
import { base64Of, smallPicture } from '$lib/client/picture';
import type { SmallPicture } from '$lib/client/picture';
import type { SiteState } from '$lib/client/siteState.svelte';
import type { BackdropRequest } from '$lib/schemas/backdrop';
import type { DxfUnit, ReadDrawing } from './dxfLines';
import { readDxf, requireSite, scaledDrawing } from './dxfLines';

interface LoadedDrawing extends ReadDrawing {
  readonly name: string;
}
export interface Px {
  readonly x: number;
  readonly y: number;
}

/** Larger pictures are made smaller before they are sent, px on the longer side. */
const MOST_PX = 2400;
const TOO_LARGE = 40 * 1024 * 1024;

/** A picture or drawing on its way behind the plan: read, scaled, sent. What was there before stays until then. */
export class BackdropState {
  readonly #site: SiteState;
  picture = $state.raw<SmallPicture | null>(null);
  drawing = $state.raw<LoadedDrawing | null>(null);
  /** Two points of the picture, px, between which a distance is known. */
  points = $state.raw<readonly Px[]>([]);
  distanceM = $state<number | null>(null);
  unit = $state.raw<DxfUnit | null>(null);
  working = $state(false);
  trouble = $state('');

  constructor(site: SiteState) {
    this.#site = site;
  }

  async read(file: File): Promise<void> {
    this.leave();
    this.working = true;
    try {
      if (file.size > TOO_LARGE) throw new RangeError('At most 40 MB are taken: save it smaller.');
      if (/\.dxf$/i.test(file.name)) {
        const drawing = readDxf(await file.text());
        this.drawing = { name: file.name, ...drawing };
        this.unit = drawing.unit;
      } else this.picture = await smallPicture(file, MOST_PX);
    } catch (cause) {
      this.trouble = wordsOf(cause);
    }
    this.working = false;
  }

  leave(): void {
    this.picture = this.drawing = null;
    this.points = [];
    this.distanceM = null;
    this.unit = null;
    this.trouble = '';
  }

  point(p: Px): void {
    this.points = this.points.length === 2 ? [p] : [...this.points, p];
  }

  /** What is still wanted before it can go behind the plan; empty where nothing is. */
  get wanting(): string {
    if (this.drawing) return this.unit ? '' : 'The drawing does not say its unit: say it.';
    if (!this.picture) return '';
    if (this.points.length < 2) return 'Click two points between which you know the distance.';
    return this.distanceM === null || !(this.distanceM > 0) ? 'Give the distance between the two points.' : '';
  }

  async putBehind(): Promise<void> {
    this.working = true;
    this.trouble = '';
    try {
      const { request, backdrop } = this.#scaled();
      const { id } = await post<{ id: string }>(`/api/v1/sites/${this.#site.siteId}/backdrops`, request);
      const { northDeg, levels } = this.#site.design.plan;
      const problem = await this.#site.apply({ kind: 'plan', northDeg, levels, backdrop: { id, ...backdrop } });
      if (problem) this.trouble = problem.detail;
      else this.leave();
    } catch (cause) {
      this.trouble = wordsOf(cause);
    }
    this.working = false;
  }

  /** What is sent, and how it lies on the plan. Throws RangeError where the scale makes it no site. */
  #scaled(): { request: BackdropRequest; backdrop: Omit<Backdrop, 'id'> } {
    const { picture, drawing, unit } = this;
    if (drawing && unit) {
      const { lines, ...lies } = scaledDrawing(drawing, unit);
      const { widthM, heightM } = lies;
      const request = { as: 'drawing' as const, widthM, heightM, lines: lines.map((l) => [...l]) };
      return { request, backdrop: { name: named(drawing.name), ...lies } };
    }
    if (!picture) throw new RangeError('Choose a picture or a drawing first.');
    const mPerPx = metresPerPx(this.points, this.distanceM);
    const [widthM, heightM] = [picture.widthPx * mPerPx, picture.heightPx * mPerPx];
    requireSite(widthM, heightM, 'by this distance');
    const request = { as: 'picture' as const, base64: base64Of(picture) };
    return { request, backdrop: { name: named(picture.name), widthM, heightM, xM: 0, yM: 0 } };
  }
}

const named = (file: string) => file.slice(-60).trim() || 'picture';
const wordsOf = (cause: unknown) => {
  if (cause instanceof ApiProblem || cause instanceof RangeError) return cause.message;
  throw cause;
};

/** Scale of a picture from two of its points. Throws RangeError on points in one place or no distance. */
export function metresPerPx([a, b]: readonly Px[], distanceM: number | null): number {
  const px = a && b ? Math.hypot(a.x - b.x, a.y - b.y) : 0;
  if (px < 5) throw new RangeError('The two points lie on one another: click two that are apart.');
  if (distanceM === null || !(distanceM > 0)) throw new RangeError('The distance between the points must be over 0 m.');
  return distanceM / px;
}
