/** Contacts of a unit that outside devices work. */
export const CONTACTS = ['stop', 'ripple control', 'generator start', 'demand mode'] as const;
export type ContactName = (typeof CONTACTS)[number];

/** What a record says of the contacts of a unit: those that were worked, and those that are not wired. */
export interface ContactsTold {
  readonly worked: readonly ContactName[];
  readonly notWired: readonly ContactName[];
  /** What the survey says of the site's stop. */
  readonly stopFitted: boolean | null;
}

/** A contact as it was worked from its far end. */
export interface ContactReading {
  readonly contact: ContactName;
  readonly logic: 'normally closed' | 'normally open';
  /** The wire is watched: a break or a short is told. */
  readonly supervised: boolean;
  /** The unit did what the contact asks for, and took it back after. */
  readonly acted: boolean;
  readonly seconds: number;
  readonly mostS: number;
}
