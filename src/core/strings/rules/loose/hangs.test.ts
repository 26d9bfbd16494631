import { edges } from '../../../testing/edges';
import { onInput } from '../../../testing/subjects';
import { HANGS } from './hangs';

edges(HANGS, () => ({
  holds: [onInput().string],
  without: { 'an input': onInput({ string: { place: null } }).string },
}));
