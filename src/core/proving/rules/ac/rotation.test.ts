import { acReading } from '../../../testing/acReadings';
import { edges } from '../../../testing/edges';
import { ROTATION } from './rotation';

edges(ROTATION, () => ({ holds: [acReading()], tight: [acReading({ rotation: 'reversed' })], without: {} }));
