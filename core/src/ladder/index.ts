export { buildLadder, USUAL_CUE_BEATS, USUAL_REST_BEATS } from './build-ladder.ts';
export { commonKeys, type CommonKeys, type GroupSinger } from './common-keys.ts';
export { PLACEMENT_RULES, proposeStart, type PlacementRule, type StartProposal } from './propose-start.ts';
export { secondPassSchema } from './second-pass.schema.ts';
export { buildSiren, SIREN_SHAPES, type Siren, type SirenInput, type SirenPiece, type SirenShape } from './siren.ts';
export { fewMoreThenHome, goHome, turnBack, type FewMore } from './turn-back.ts';
export {
  LEGS,
  TRAVELS,
  ZONES,
  type Ladder,
  type LadderInput,
  type Leg,
  type PlannedKey,
  type Rung,
  type SkippedKey,
  type Travel,
  type Zone,
} from './ladder.types.ts';
export { zoneSounded } from './zones.ts';
