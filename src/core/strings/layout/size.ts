/** The most inverters that one layout takes. The one number: layout, search, fleets and the API ask it at the door. */
export const LAYOUT_MOST_UNITS = 60;

/** What is asked for where a site is larger; empty where it is not. */
export const smallerSiteWanted = (units: number): string[] =>
  units > LAYOUT_MOST_UNITS
    ? [`a site of at most ${LAYOUT_MOST_UNITS} inverters (${units} are here): lay it out in parts`]
    : [];
