/** Every field has one height and one size of writing; under a finger it is higher. */
export const CONTROL =
  '[&_input]:h-8 [&_input]:py-0 [&_input]:text-sm [&_select]:h-8 [&_select]:py-0 [&_select]:text-sm pointer-coarse:[&_input]:h-11 pointer-coarse:[&_select]:h-11';

/** A button stands beside fields and has their height; under a finger it is higher. */
export const BUTTON = 'min-h-8 py-1 sm:whitespace-nowrap pointer-coarse:min-h-11';

/** So has a file that is chosen. */
export const FILE = 'h-8 text-sm file:h-full file:py-0 pointer-coarse:h-11';

/** The name of a field, above it or beside it. */
export const LABEL = 'mb-0.5 text-sm font-normal text-dim';
