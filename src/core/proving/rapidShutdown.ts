import type { Survey } from '../site/survey';

/** Where a site has to have rapid shutdown: arrays on or in buildings of the NEC school (NFPA 70, 690.12; recalled). It counts as on one until somebody says that it is not. */
export const asksRapidShutdown = ({ school, building }: Pick<Survey, 'school' | 'building'>): boolean =>
  school === 'NEC' && building !== 'not on a building';
