import { z } from 'zod';
import { quantity } from '$core/kernel/schema';

/** What cost and loss are reckoned with, in the company's currency. */
export const pricesSchema = z.object({
  copperPerKg: quantity(0.01, 1000, '1/kg', 'Price of copper').nullable(),
  aluminiumPerKg: quantity(0.01, 1000, '1/kg', 'Price of aluminium').nullable(),
  fullLoadHours: quantity(0, 8784, 'h', 'Full-load hours a year').nullable(),
  perKwh: quantity(0.001, 100, '1/kWh', 'Worth of energy').nullable(),
});
