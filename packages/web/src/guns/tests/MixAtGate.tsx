/**
 * The real mix goes through the gun: what is in the cup, where it is shot, and the same gate as
 * before a coat.
 */
import { Select } from '@mantine/core';
import {
  askGate,
  gateProduct,
  type GateAnswersGiven,
} from '@orthochrom/contract/plan/gateProduct.ts';
import type { Room } from '@orthochrom/contract/shop/setup.ts';
import type { TestGate } from '@orthochrom/contract/shop/test.ts';
import type { SheetVersion } from '@orthochrom/contract/shop/ticket.ts';
import { isStopped } from '@orthochrom/core/outcome/verdicts.ts';
import { useState } from 'react';
import { openQuestions } from '../../safety/answers.ts';
import { GateQuestions } from '../../safety/GateQuestions.tsx';
import { Standing } from '../../safety/Standing.tsx';
import { VerdictList } from '../../verdict/Verdicts.tsx';

type MixAtGateProps = {
  rooms: Room[];
  sheets: SheetVersion[];
  onGate: (gate: TestGate | undefined) => void;
};

/** Sprayed by itself: has a recipe, and is neither reducer nor hardener. */
const isSprayed = ({ sheet }: SheetVersion): boolean => (sheet.recipes?.length ?? 0) > 0;

export function MixAtGate({ rooms, sheets, onGate }: MixAtGateProps) {
  const sprayed = sheets.filter(isSprayed);
  const [roomId, setRoomId] = useState(rooms[0]?.id);
  const [versionId, setVersionId] = useState<string>();
  const [answers, setAnswers] = useState<GateAnswersGiven>({});
  const room = rooms.find(({ id }) => id === roomId);
  const version = sprayed.find(({ id }) => id === versionId);
  const recipeName = version?.sheet.recipes?.[0]?.name ?? '';
  const tell = (next: {
    room?: Room | undefined;
    version?: SheetVersion | undefined;
    answers: GateAnswersGiven;
  }) => {
    if (!next.room || !next.version) return onGate(undefined);
    const recipe = next.version.sheet.recipes![0]!.name;
    const judged = askGate(
      { room: next.room, sheet: next.version.sheet, recipeName: recipe, step: 'spray' },
      next.answers,
    );
    const isOpen = openQuestions(judged.asks, next.answers) > 0 || isStopped(judged.verdicts);
    onGate(
      isOpen
        ? undefined
        : {
            roomId: next.room.id,
            sheetVersionId: next.version.id,
            recipeName: recipe,
            ...next.answers,
          },
    );
  };
  const product = version && gateProduct(version.sheet, recipeName);
  const judged =
    room && version && askGate({ room, sheet: version.sheet, recipeName, step: 'spray' }, answers);
  return (
    <section className="card stack" aria-label="Safety gate">
      <strong>The real mix goes through the gun: the gate first, as before a coat.</strong>
      <div className="grid2">
        <Select
          label="In the cup"
          placeholder="which product"
          searchable
          value={versionId ?? null}
          data={sprayed.map(({ id, sheet }) => ({ value: id, label: sheet.name }))}
          onChange={(id) => {
            setVersionId(id ?? undefined);
            setAnswers({});
            tell({ room, version: sprayed.find((one) => one.id === id), answers: {} });
          }}
        />
        <Select
          label="Where"
          value={roomId ?? null}
          data={rooms.map(({ id, name }) => ({ value: id, label: name }))}
          onChange={(id) => {
            setRoomId(id ?? undefined);
            tell({ room: rooms.find((one) => one.id === id), version, answers });
          }}
        />
      </div>
      {room && product && judged && (
        <>
          <Standing product={product} />
          <GateQuestions
            product={product}
            place={room.place}
            known={room.ignitionSources}
            answers={answers}
            setAnswers={(next) => {
              setAnswers(next);
              tell({ room, version, answers: next });
            }}
          />
          <VerdictList verdicts={judged.verdicts} hideGo />
        </>
      )}
    </section>
  );
}
