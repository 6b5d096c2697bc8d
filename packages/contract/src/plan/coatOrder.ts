/** Coats in the order in which they are sprayed: stage by stage as the ticket lists them, coat by coat within each. */
type Placed = { stageId: string; ordinal: number };

export const coatOrder =
  (stages: readonly { id: string }[]) =>
  (a: Placed, b: Placed): number =>
    stages.findIndex(({ id }) => id === a.stageId) - stages.findIndex(({ id }) => id === b.stageId) || a.ordinal - b.ordinal;
