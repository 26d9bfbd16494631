/** Share of its rating from which a unit produces: above it has started, below it has stopped (common practice). */
export const PRODUCES_FROM = 0.01;
