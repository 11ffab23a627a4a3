import type { Schemas } from '../../../shared/api/client';

export type Own = Schemas['OwnPosition'];
export type Training = Schemas['Training'];
export type Hint = Schemas['Hint'];
export type Change = (make: (own: Own) => Own) => void;

/** As it is sent for a position that is only measured in. */
const NOTHING: Training = {
  tissue: '',
  press: '',
  pull: '',
  lifts: '',
  props: [],
  easier: [],
  harder: [],
  fixes: [],
  stops: [],
  equipment: [],
  methods: [],
  together: 'NO',
  source: { kind: 'HOUSE_RULE', text: 'the studio’s own' },
};

export function trainingOf(own: Own): Training {
  return own.position.training ?? NOTHING;
}

export function withPosition(own: Own, part: Partial<Own['position']>): Own {
  return { ...own, position: { ...own.position, ...part } };
}

export function withTraining(own: Own, part: Partial<Training>): Own {
  return withPosition(own, { training: { ...trainingOf(own), ...part } });
}

export function withPose(own: Own, part: Partial<Own['pose']>): Own {
  return { ...own, pose: { ...own.pose, ...part } };
}

/** Somebody standing, of whom nothing is said yet. */
export function blank(standing: Own, id: string): Own {
  const said = { id, name: '', motions: [], setup: '', zero: '', training: NOTHING };
  return withPose(withPosition(standing, said), { zeros: {} });
}

/** A copy of one that ships has its own id and says so. */
export function copyOf(own: Own, id: string): Own {
  return withPosition(own, { id, name: `${own.position.name}, our way` });
}
