import { edges } from '../../../testing/edges';
import type { ContactsTold } from '../../readings/contactReading';
import { CONTACTS } from '../../readings/contactReading';
import { EVERY_CONTACT } from './everyContact';

const told = (worked: ContactsTold['worked'], over: Partial<ContactsTold> = {}): ContactsTold => ({
  worked,
  notWired: CONTACTS.filter((c) => !worked.includes(c)),
  stopFitted: null,
  ...over,
});

edges(EVERY_CONTACT, () => ({
  holds: [told(CONTACTS, { stopFitted: true }), told(['stop'], { stopFitted: true }), told(['ripple control'])],
  tight: [told(['ripple control'], { stopFitted: true })],
  without: { 'every contact': told(['stop'], { notWired: ['ripple control', 'generator start'] }) },
  says: [
    [told(['stop']), /^worked: stop; not wired: ripple control, generator start, demand mode$/],
    [told(CONTACTS), /; not wired: none$/],
    [told(['demand mode'], { stopFitted: true }), /^worked/, /the survey says that a stop is fitted/],
    [
      told(['stop'], { notWired: [] }),
      /^Missing: whether ripple control is wired, whether generator start is wired, whether demand mode is wired$/,
    ],
  ],
}));
