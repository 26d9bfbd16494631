/** Addresses that a serial line has (Modbus over Serial Line V1.02, 2.2; recalled). */
export const FIRST_ADDRESS = 1;
export const LAST_ADDRESS = 247;
/** Where units are that nobody addressed yet (common practice). */
export const FACTORY_ADDRESS = 1;
