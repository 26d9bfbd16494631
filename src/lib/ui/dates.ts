/** The day of a moment, in the order that nobody can misread: year, month, day (ISO 8601). */
export const dateOf = (moment: string | number | Date): string => new Date(moment).toLocaleDateString('sv-SE');
