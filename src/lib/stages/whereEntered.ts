/** Where what a check lacks is entered: the stage and the field of its form, by the name the check gives it. */
export interface EnteredAt {
  /** Stage of the site; `shelf` for what a data sheet says. */
  readonly stage: string;
  /** The field's path in its form; absent where it is a button or a table. */
  readonly field?: string;
}

const at = (stage: string, field?: string): EnteredAt => (field === undefined ? { stage } : { stage, field });

/** The first that fits counts. */
const FIELDS: readonly (readonly [name: RegExp, at: EnteredAt])[] = [
  [
    /from the sheet$|of the inverter$|above 2000 m$|^largest breaker|^stud spacing|^glands|gland$|AC studs$|^whether the inverter/,
    at('shelf'),
  ],
  [/^lowest design temperature|look at the design temperatures/, at('survey', 'coldestC')],
  [/^hot design temperature/, at('survey', 'hottestC')],
  [/^latitude/, at('survey', 'latitudeDeg')],
  [/^altitude/, at('survey', 'altitudeM')],
  [/^nominal line voltage/, at('survey', 'lineV')],
  [/^supply and its earthing/, at('survey', 'service')],
  [/^transformer rating/, at('survey', 'transformerKva')],
  [/^highest line-to-line voltage/, at('survey', 'boardHighestV')],
  [/^(waiting time of the )?grid code/, at('survey', 'gridCode')],
  [/^inverters$|^rear-side share/, at('survey')],
  [/^section of the DC cable/, at('strings', 'sectionMm2')],
  [/^how the DC cable lies/, at('strings', 'mode')],
  [/ambient at the DC cable/, at('strings', 'ambientC')],
  [/^DC circuits in one bundle/, at('strings', 'circuitsTogether')],
  [/^length of the home run|where the Y|^where a Y|^a Y of|^strings$|^an input$|window of the string/, at('strings')],
  [/^a year of energy/, at('strings/year')],
  [/^busbar rating/, at('ac', 'busbarA')],
  [/^main breaker/, at('ac', 'mainBreakerA')],
  [/^ambient at the main breaker/, at('ac', 'mainAmbientC')],
  [/^kind of breaker/, at('ac', 'breakerKind')],
  [/^ambient at the breaker/, at('ac', 'breakerAmbientC')],
  [/^side-by-side factor/, at('ac', 'breakerGroupFactor')],
  [/^breaker$/, at('ac', 'breakerA')],
  [/^length of the run/, at('ac', 'lengthM')],
  [/^installation method/, at('ac', 'method')],
  [/^ambient along the run/, at('ac', 'ambientC')],
  [/^other circuits in the group/, at('ac', 'otherCircuits')],
  [/^how the circuits of the group/, at('ac', 'arrangement')],
  [/^whether sun lies/, at('ac', 'sunOnCable')],
  [/^insulation/, at('ac', 'insulation')],
  [/^metal of the lines/, at('ac', 'metal')],
  [/^metal of the PE/, at('ac', 'peMetal')],
  [/^metal of the external earth/, at('ac', 'externalEarthMetal')],
  [/^external chassis earth/, at('ac', 'externalEarthMm2')],
  [/^PE section/, at('ac', 'peMm2')],
  [/^whether the PE/, at('ac', 'peInCable')],
  [/measured cable diameter/, at('ac', 'cableDiameterMm')],
  [/^palm width/, at('ac', 'palmWidthMm')],
  [/^palm thickness/, at('ac', 'palmThicknessMm')],
  [/^cores/, at('ac', 'cores')],
  [/^cables in parallel/, at('ac', 'parallel')],
  [/^section/, at('ac', 'sectionMm2')],
  [/^depth/, at('ac', 'depthM')],
  [/soil/, at('ac', 'soilKmPerW')],
  [/duct/, at('ac', 'ductDiameterMm')],
  [
    /^(size and )?clearances of|^(width|height|depth|handles|holes of the bracket|lower edge of the bracket|centre of gravity|free in front) of|^centre of gravity from|^handles of|^holes of the bracket|by gear only$/,
    at('mounting'),
  ],
  [/^how far the wall leans/, at('mounting', 'backDeg')],
  [/^distance to the nearest neighbour/, at('mounting', 'neighbourM')],
  [/^sound limit/, at('mounting', 'soundLimitDb')],
  [/^sound of|flat on its back$/, at('mounting')],
  [/^mass, handles|^mass of/, at('shelf')],
  [/^lowest lower edge/, at('mounting', 'floorMinMm')],
  [/^flood or snow mark/, at('mounting', 'waterMarkMm')],
  [/^space that is asked|^what is opposite/, at('mounting', 'facing')],
  [/^free before the wall/, at('mounting', 'frontMm')],
  [/^whether the public/, at('mounting', 'publicReach')],
  [/^whether flammables/, at('mounting', 'flammables')],
  [/^the way the wall faces/, at('mounting', 'facesDeg')],
  [/^depth of an awning/, at('mounting', 'awningDepthM')],
  [/^height of an awning/, at('mounting', 'awningYMm')],
  [/^what the wall is made of/, at('mounting', 'material')],
  [/^a pull test on this wall/, at('mounting', 'pullTested')],
  [/^approved pull/, at('mounting', 'tensionCapacityN')],
  [/^approved shear/, at('mounting', 'shearCapacityN')],
  [/^hole for the anchor/, at('mounting', 'anchorHoleMm')],
  [/^depth of the anchor/, at('mounting', 'anchorDepthMm')],
  [/^thickness of the wall/, at('mounting', 'thicknessMm')],
  [/^where cables leave/, at('mounting', 'boardXMm')],
  [/^bit rate|^an address|^addresses|^rout|^a logger|^at least two devices|^unit loads/, at('links')],
];

/** Null where it is entered in no form: it is measured, or follows from something else. */
export const enteredAt = (name: string): EnteredAt | null => FIELDS.find(([of]) => of.test(name))?.[1] ?? null;
