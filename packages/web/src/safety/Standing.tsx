/**
 * The safety that stands on every step: one small line, opened by a touch; first aid for hardener
 * beside it.
 */
import { Button, Modal } from '@mantine/core';
import { theSafety } from '@orthochrom/contract/knowledge/files.ts';
import { isTwoPackHazard } from '@orthochrom/core/safety/hazard.ts';
import type { InputOf } from '@orthochrom/contract/registry.ts';
import { useState } from 'react';
import styles from './Standing.module.css';

const AID = 'X15';
const TWO_PACK = ['X01', 'X02', 'X10', 'X12'];
const SOLVENT = ['X05', 'X06', 'X12'];

/** What is behind a touch is read with it: every step draws the line, few open it. */
function Lines({ ids }: { ids: readonly string[] }) {
  const { safety, wording } = theSafety();
  const texts = ids.flatMap((id) => safety.find((line) => line.id === id)?.text ?? []);
  return [...texts, wording].map((text) => (
    <p key={text} className={styles['text']}>
      {text}
    </p>
  ));
}

function FirstAid() {
  return theSafety()
    .safety.find(({ id }) => id === AID)!
    .text.split(/(?<=\.) (?=[A-Z][a-z ]+:)/)
    .map((line) => (
      <p key={line} className={styles['text']}>
        {line}
      </p>
    ));
}

export function Standing({ product }: { product: InputOf<'gate'>['product'] }) {
  const [isAidOpen, setAidOpen] = useState(false);
  const [isOpen, setOpen] = useState(false);
  const isTwoPack = isTwoPackHazard({ product });
  const word = isTwoPack
    ? 'Two-pack: air-fed breathing, skin and eyes covered'
    : 'Vapour, sparks, rags, waste';
  return (
    <div className={styles['standing']}>
      <button type="button" className={styles['line']} onClick={() => setOpen(true)}>
        {isTwoPack ? (
          <span>
            Two-pack
            <span className={styles['more']}>: air-fed breathing, skin and eyes covered</span>
          </span>
        ) : (
          word
        )}
      </button>
      <Modal opened={isOpen} onClose={() => setOpen(false)} title={word} size="lg" centered>
        <Lines ids={isTwoPack ? TWO_PACK : SOLVENT} />
      </Modal>
      {isTwoPack && (
        <Button
          variant="default"
          color="var(--stop)"
          className={styles['aid']!}
          onClick={() => setAidOpen(true)}
        >
          First aid
        </Button>
      )}
      <Modal
        opened={isAidOpen}
        onClose={() => setAidOpen(false)}
        title="First aid: hardener"
        size="lg"
        centered
      >
        <FirstAid />
      </Modal>
    </div>
  );
}
