import { edges } from '../../../testing/edges';
import { carrier } from '../../../testing/otherWays';
import { CARRIER } from './carrier';

edges(CARRIER, () => ({
  holds: [],
  tight: [carrier()],
  stops: [
    carrier({ sameSecondary: false }),
    carrier({ sameBusbar: false }),
    carrier({ sameSecondary: false, sameBusbar: false }),
  ],
  without: {
    'whether both ends of the carrier hang on one transformer secondary': carrier({ sameSecondary: null }),
    'whether both ends of the carrier hang on one bus bar': carrier({ sameBusbar: null }),
  },
  says: [
    [carrier(), /weaken it$/, /^test the link at full power and at night$/],
    [carrier({ sameSecondary: false }), /^no carrier crosses a transformer$/, /second receiver$/],
    [carrier({ sameBusbar: false }), /^its ends hang on two bus bars$/, /second receiver$/],
  ],
}));
