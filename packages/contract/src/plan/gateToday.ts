/** Whether the safety gate counts as asked: for this room and painter (and stage), today by the shop's clock. */
type Answered = { stageId: string; roomId: string; painterId: string; answeredAt: string; passed: boolean; gateVersion: number };

/** Raised when the gate asks more than before: answers to an older gate do not open it. */
export const GATE_VERSION = 1;

const dayOf = (at: number, timeZone: string): string => new Date(at).toLocaleDateString('en-CA', { timeZone });

/** The newest answer that counts, passed or not; a later answer takes an earlier one's place. */
export function gateToday<G extends Answered>(
  gates: readonly G[],
  of: { stageId?: string; roomId: string; painterId: string; nowMs: number; timeZone: string },
): G | undefined {
  const newest = gates
    .filter(
      (gate) =>
        gate.gateVersion === GATE_VERSION &&
        (of.stageId === undefined || gate.stageId === of.stageId) &&
        gate.roomId === of.roomId &&
        gate.painterId === of.painterId,
    )
    .reduce<G | undefined>(
      (last, gate) => (last && Date.parse(last.answeredAt) > Date.parse(gate.answeredAt) ? last : gate),
      undefined,
    );
  return newest && dayOf(Date.parse(newest.answeredAt), of.timeZone) === dayOf(of.nowMs, of.timeZone) ? newest : undefined;
}
