import { gridWindow } from '../../../site/gridCodes';
import { acReading } from '../../../testing/acReadings';
import { edges } from '../../../testing/edges';
import { SURVEY } from '../../../testing/examples';
import { NOMINAL } from './nominal';

const at = (lineV: number | null) => acReading({ window: gridWindow({ ...SURVEY, lineV }) });

edges(NOMINAL, () => ({
  holds: [at(400), at(480), at(800)],
  without: { 'nominal line voltage': at(410) },
  numbers: [[at(690), { value: 690 }]],
}));
