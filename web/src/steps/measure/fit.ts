import type { Schemas } from '../../shared/api/client';

/** Whether a client belongs to a table's people, behind the table's name. */
export const FIT: Record<Schemas['Usual']['fit'], string> = {
  SAME_GROUP: '',
  OTHER_GROUP: ', another group than this client',
  GUESS: ', a guess: age or sex is not on file',
};
