/** The body of a unit in the order in which people read its sheet. */
export const BODY_GROUPS = [
  { title: 'Size', paths: ['widthMm', 'heightMm', 'depthMm'] },
  { title: 'Kept free', paths: ['leftMm', 'rightMm', 'topMm', 'bottomMm', 'frontMm', 'besideMm', 'stackedMm'] },
  { title: 'Siting', paths: ['soundDb', 'efficiencyPercent', 'airIn', 'airOut', 'flatAllowed'] },
  { title: 'Lift', paths: ['centreXMm', 'centreYMm', 'centreZMm', 'gearOnly', 'eyeThread', 'eyeSpacingMm', 'handles'] },
  { title: 'In the box', paths: ['packing'] },
  { title: 'Bracket', paths: ['bracketBottomMm', 'slotMm', 'boltMm', 'bracketHoles', 'safetyHoles'] },
] as const;
