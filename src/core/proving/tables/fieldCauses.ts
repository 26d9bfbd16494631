/** What a wrong string reads, how often crews meet it, and what to do next. Priors: common practice. */
export const FIELD_CAUSES = [
  { cause: 'ok', prior: 0.880, words: 'the string is as drawn', next: 'sign off', safety: '' },
  { cause: 'low_current', prior: 0.010, words: 'wiring right; shade, dirt, passing cloud, sensor tilted, one half of a half-cut row dead', next: 'look up; repeat with the sensor in the plane; compare like strings', safety: '' },
  { cause: 'minus1', prior: 0.020, words: 'one module fewer than drawn', next: 'count the modules; correct the drawing or the string', safety: '' },
  { cause: 'plus1', prior: 0.015, words: 'one module more than drawn', next: 'count; recheck the cold voltage of the real length before plugging', safety: 'do not plug until the cold voltage is rechecked' },
  { cause: 'minus2', prior: 0.005, words: 'two modules fewer, or one module reversed (same voltage)', next: 'count; then measure each module of the half that is low', safety: '' },
  { cause: 'plus2', prior: 0.003, words: 'two modules more than drawn', next: 'as one more', safety: 'do not plug until the cold voltage is rechecked' },
  { cause: 'diode1', prior: 0.010, words: 'one bypass diode shorted or one third of a module dead', next: 'compare with equal strings; thermal picture; halve the string', safety: '' },
  { cause: 'diode2', prior: 0.004, words: 'two thirds of a module lost', next: 'as above', safety: '' },
  { cause: 'mod_reversed', prior: 0.008, words: 'one module connected backwards in the string (or two missing)', next: 'find the home-made lead; factory leads cannot do it', safety: 'that module heats: do not leave it short-circuited' },
  { cause: 'reversed', prior: 0.015, words: 'plus and minus swapped at the home run', next: 're-make both connectors, then measure again', safety: 'never plug; switching a reversed string can destroy the inverter' },
  { cause: 'swapped', prior: 0.010, words: 'another string is on this pair (length n2 of the plan)', next: 'read the tags; tone the pair; correct the label or the plug', safety: 'check the length against this tracker' },
  { cause: 'y_parallel', prior: 0.006, words: 'two strings are joined ahead of this point', next: 'find the Y; check connector and fuse ratings', safety: 'the connector may be overloaded: do not run' },
  { cause: 'series', prior: 0.002, words: 'two strings joined end to end', next: 'stop; make safe at night or covered; undo', safety: 'voltage may exceed meter, cable and inverter: do not touch, do not plug' },
  { cause: 'open', prior: 0.007, words: 'a connector is not mated or a module lead is open', next: 'walk the string; listen for the click', safety: 'parts may still be live to earth' },
  { cause: 'other', prior: 0.005, words: 'none of the known causes fits', next: 'measure at the half-way connector; insulation test', safety: '' },
] as const;
