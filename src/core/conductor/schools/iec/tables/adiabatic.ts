/** The values of PVC hold up to here, mm². */
export const ADIABATIC_PVC_MOST_MM2 = 300;
/** k of the adiabatic equation, A·√s/mm² (IEC 60364-4-43 Table 43A, 60364-5-54 Annex A; recalled). */
export const ADIABATIC_K = {
  core: {
    PVC: { Cu: 115, Al: 76 },
    XLPE: { Cu: 143, Al: 94 },
  },
  separate: {
    PVC: { Cu: 143, Al: 95 },
    XLPE: { Cu: 176, Al: 116 },
  },
} as const;
