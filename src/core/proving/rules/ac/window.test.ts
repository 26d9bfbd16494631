import { lacking } from '../../../kernel/answer';
import { acReading } from '../../../testing/acReadings';
import { edges } from '../../../testing/edges';
import { AC_WINDOW } from './window';

const line = (v: number) => acReading({ lineV: [400, v, 400] });
const phase = (v: number) => acReading({ phaseV: [231, v, 231] });

edges(AC_WINDOW, () => ({
  // EN 50549-1: 0.85 to 1.1 of nominal (recalled); 0.95 to 1.05 is comfortable (common practice).
  holds: [line(380), line(420), phase((1.05 * 400) / Math.sqrt(3))],
  tight: [line(379.9), line(340), line(420.1), line(440), phase(243)],
  stops: [line(339.9), line(440.1), phase(255), phase(190)],
  without: { 'grid code': acReading({ window: lacking('grid code') }) },
  numbers: [
    [line(430), { value: 430, limit: 440, margin: (100 * 10) / 440 }],
    [line(350), { value: 350, limit: 340, margin: (100 * 10) / 340 }],
  ],
  says: [[line(430), /400\.0 \/ 430\.0 \/ 400\.0 V line to line; window 340\.0 to 440\.0 V/]],
}));
