import { edges } from '../../../testing/edges';
import { hungUnit } from '../../../testing/subjects';
import { FLAMMABLES } from './flammables';

const near = (flammables: boolean | null) => hungUnit({ wall: { flammables } });

edges(FLAMMABLES, () => ({
  holds: [near(false)],
  stops: [near(true)],
  without: { 'whether flammables are stored near': near(null) },
  says: [
    [near(false), /^none stored near$/],
    [near(true), /^flammables are stored near/],
  ],
}));
