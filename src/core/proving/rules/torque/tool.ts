import { published } from '../../../kernel/check';
import { found } from '../../../kernel/judgement';
import { rule } from '../../../kernel/rule';
import type { JointReading } from '../../readings/torqueReading';

/** The tool is accurate where it was used: 0.2 to 1.0 of its maximum. */
export const TORQUE_TOOL = rule<JointReading>()({
  id: 'proving.torque-tool',
  title: 'Tool in its accurate range',
  unit: 'N·m',
  basis: published('ISO 6789'),
  needs: { holds: { as: 'torque range of the tool', of: (r) => r.toolHolds } },
  judge: ({ holds }, { appliedNm }) =>
    found(
      holds ? 'holds' : 'stop',
      () => [
        holds
          ? 'target inside 0.2 to 1.0 of the tool’s maximum'
          : 'target outside 0.2 to 1.0 of the tool’s maximum: take another tool',
      ],
      { value: appliedNm },
    ),
});
