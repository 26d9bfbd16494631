import { expect, it } from 'vitest';
import { INSTRUMENTS } from '../../../testing/crew';
import { edges } from '../../../testing/edges';
import { toolHolds } from '../../measure/torqueJoint';
import { TORQUE_TOOL } from './tool';

const joint = (targetNm: number, tool: Parameters<typeof toolHolds>[0] = INSTRUMENTS['torque tool']) => ({
  at: 'unit L1',
  appliedNm: targetNm,
  marked: true,
  target: null,
  toolHolds: toolHolds(tool, targetNm),
});

// A wrench up to 60 N·m is accurate from 12 N·m (ISO 6789; recalled).
edges(TORQUE_TOOL, () => ({
  holds: [joint(12), joint(60)],
  stops: [joint(11.99), joint(60.01)],
  without: { 'torque range of the tool': joint(25, { ...INSTRUMENTS['torque tool'], ranges: [] }) },
  says: [
    [joint(25), /inside 0.2 to 1.0/],
    [joint(5), /take another tool/],
  ],
}));

it('knows no tool without its range', () => expect([toolHolds(null, 25)]).toEqual([null]));
