import { z } from 'zod';
import { quantity } from '$core/kernel/schema';

/** What drums are asked with. */
export const drumsSchema = z.object({
  drumM: quantity(1, 10_000, 'm', 'Length of a new drum'),
  keepM: quantity(0.5, 1000, 'm', 'Remainders are kept from').nullable(),
});
