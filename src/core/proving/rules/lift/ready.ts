import { practice } from '../../../kernel/check';
import { found } from '../../../kernel/judgement';
import { rule } from '../../../kernel/rule';
import type { LiftReading } from '../../readings/liftReading';

/** What is looked at before anybody takes hold: way, people, gear, handles. */
export const READY = rule<LiftReading>()({
  id: 'proving.lift-ready',
  title: 'Way free, nobody below, gear and handles seen',
  unit: '',
  basis: practice('looked at by whoever leads the lift, each time'),
  needs: {},
  judge: (_, { wayFree, nobodyBelow, gearSeen, handlesReady }) => {
    const wrong = [
      ...(wayFree ? [] : ['the way is not free']),
      ...(nobodyBelow ? [] : ['people may come under the load']),
      ...(gearSeen ? [] : ['the gear was not looked at']),
      ...(handlesReady ? [] : ['handles or eye bolts are not ready']),
    ];
    return found(wrong.length ? 'stop' : 'holds', () =>
      wrong.length ? wrong : ['way, people, gear and handles as they should be'],
    );
  },
});
