import type { Subject } from '$core/kernel/check';
import { stageOf } from '$lib/stages/stages';

/** Stages that show objects of every element, each in its own way: whoever stands there is led to the object there. */
const OF_ALL = ['log', 'energise'];

/** The address at which the object of a check is shown: its stage, or the stage on screen where that shows it too. */
export function jumpHref(siteId: string, here: string, { id, element }: Pick<Subject, 'id' | 'element'>): string {
  const [, , , stage = ''] = here.split('/');
  return `/sites/${siteId}/${OF_ALL.includes(stage) ? stage : stageOf(element)}?at=${encodeURIComponent(id ?? element)}`;
}

/** The object an address leads to: marked `data-part` on screen, or the part that it belongs to (`inv-1/3`: a tracker of a unit). */
function partOnScreen(id: string): HTMLElement | null {
  const at = (name: string) => document.querySelector<HTMLElement>(`[data-part="${CSS.escape(name)}"]`);
  return at(id) ?? at(id.split('/', 1)[0] ?? id);
}

/** Brings the object into view and marks it for a moment; the focus goes with it. */
export function showPart(id: string): void {
  const part = partOnScreen(id);
  if (!part) return;
  part.scrollIntoView({ block: 'center', inline: 'nearest' });
  const target = part.matches('button, a, input, select')
    ? part
    : (part.querySelector<HTMLElement>('button, a') ?? part);
  target.focus({ preventScroll: true });
  part.animate([{ outline: '4px solid var(--color-primary-400)' }, { outline: '4px solid transparent' }], 1600);
}

/** Brings the field of a form into view and puts the cursor there. */
export function showField(name: string): void {
  const field = document.querySelector<HTMLElement>(`main [name="${CSS.escape(name)}"]`);
  field?.scrollIntoView({ block: 'center' });
  field?.focus({ preventScroll: true });
}
