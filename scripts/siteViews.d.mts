export function siteViews(): string[];
