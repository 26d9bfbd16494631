import type { GridWindow } from '$core/site/gridCodes';
import type { GridSample } from '$core/proving/order/reconnection';
import { reconnection } from '$core/proving/order/reconnection';

/** How often the wait looks at the clock and at what the person reads off, ms. */
const LOOK_MS = 500;

/**
 * Waits of switching, counted by this device's monotonic clock from the moment the step opened before somebody's eyes: never by typed times,
 * and from the start again after a reload. While a unit waits for the grid, what is read off its display holds until it is changed; a value
 * outside the window, or a device that slept, starts the wait again.
 */
export class OrderClock {
  waitedS = $state(0);
  restarts = $state(0);
  lineV = $state<number | null>(null);
  frequencyHz = $state<number | null>(null);
  #key = '';
  #startedMs = 0;
  #samples: GridSample[] = [];
  #window: GridWindow | null = null;
  #timer: ReturnType<typeof setInterval> | null = null;

  /** The step that is open now; another one than before begins its own wait. */
  open(key: string, window: GridWindow | null): void {
    this.#window = window;
    if (key === this.#key) return;
    this.#key = key;
    this.#startedMs = performance.now();
    this.#samples = [];
    this.waitedS = 0;
    this.restarts = 0;
    this.lineV = null;
    this.frequencyHz = null;
  }

  start(): () => void {
    this.#timer = setInterval(() => this.look(), LOOK_MS);
    return () => {
      if (this.#timer) clearInterval(this.#timer);
    };
  }

  look(): void {
    const atS = (performance.now() - this.#startedMs) / 1000;
    if (!this.#window) {
      this.waitedS = atS;
      return;
    }
    if (this.lineV === null || this.frequencyHz === null) return;
    this.#samples.push({ atS, lineV: this.lineV, frequencyHz: this.frequencyHz });
    const { unbrokenS, restarts } = reconnection(this.#samples, this.#window, Infinity);
    this.waitedS = unbrokenS;
    this.restarts = restarts;
  }
}
