/** DC/AC ratios that are usual, per cent (common practice: 90 to 150 %). */
export const RATIO_LEAST_PERCENT = 90;
export const RATIO_MOST_PERCENT = 150;
