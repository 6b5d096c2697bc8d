/**
 * Where a walk-up car begins: say it in your own words, or touch what it looks like; below, what
 * was found before.
 */
import { NotYet } from '../frame/NotYet.tsx';
import { useFindings } from '../api/reads.ts';
import { ADDRESS } from '../api/resources.ts';
import { Button, FileButton, TextInput } from '@mantine/core';
import { notifications } from '@mantine/notifications';
import { causeName, faultName, questionWords } from '@orthochrom/contract/words/faultWords.ts';
import { useRef, useState } from 'react';
import { Link, useNavigate } from 'react-router';
import { v7 as newId } from 'uuid';
import { postJson } from '../api/client.ts';
import { useWrite } from '../api/useWrite.ts';
import { PageHead } from '../frame/PageHead.tsx';
import { usePainter } from '../frame/painter.ts';
import { Drawing, describedAs } from './drawings/Drawing.tsx';
import { HowBad } from './drawings/HowBad.tsx';
import { faultsByWords } from './draft.ts';
import { whenText } from '../words/timeText.ts';
import styles from './FaultsPage.module.css';

const MOST_HITS = 6;

export function FaultsPage() {
  const navigate = useNavigate();
  const { painter } = usePainter();
  const [typed, setTyped] = useState('');
  const read = useFindings();
  const findings = read.data;
  const [busy, write] = useWrite();
  const reset = useRef<() => void>(null);
  const start = (family?: string) =>
    void navigate(`/faults/${newId()}?new=1${family ? `&family=${family}` : ''}`);
  const hits = faultsByWords(typed).slice(0, MOST_HITS);
  const takeIn = (file: File | null) => {
    if (!file) return;
    void write(async () => {
      const parsed: unknown = await file
        .text()
        .then(JSON.parse)
        .catch(() => {
          throw new Error('This is not a file of findings.');
        });
      const { taken } = await postJson<{ taken: number }>(ADDRESS.findingsFile(painter.id), parsed);
      notifications.show({
        message: taken === 0 ? 'All of them were here already.' : `${taken} taken in.`,
      });
      await read.mutate();
    }).then(() => reset.current?.());
  };
  return (
    <>
      <PageHead
        title="Fault bench"
        line="What is wrong, from what, in which layer, and what to do about it"
      >
        <FileButton
          resetRef={reset}
          accept="application/json"
          onChange={takeIn}
          inputProps={{ 'aria-label': 'File of findings' }}
        >
          {(props) => (
            <Button {...props} variant="default" loading={busy}>
              Take in a file
            </Button>
          )}
        </FileButton>
      </PageHead>
      <div className="page stack">
        <section className="card stack" aria-label="In your own words">
          <TextInput
            size="lg"
            label="Say it in your own words"
            placeholder="peel, tiger stripes, fish eye, it went dull …"
            value={typed}
            maxLength={80}
            onChange={(event) => setTyped(event.currentTarget.value)}
          />
          {hits.length > 0 && (
            <ul className={styles['hits']}>
              {hits.map(({ id, name, looks, family }) => (
                <li key={id}>
                  <button type="button" onClick={() => start(family)} data-fault={id}>
                    <strong>{name}</strong>
                    <span className="quiet">{looks}</span>
                  </button>
                </li>
              ))}
            </ul>
          )}
          {typed.trim().length > 2 && hits.length === 0 && (
            <p className="quiet">No fault goes by these words. Touch what comes nearest.</p>
          )}
        </section>
        <section aria-label="What it looks like">
          <h2 className={styles['ask']}>{questionWords('q_family').ask}</h2>
          <HowBad />
          <div className={styles['families']}>
            {Object.entries(questionWords('q_family').options).map(([option, label]) => (
              <button
                key={option}
                type="button"
                className={styles['family']}
                onClick={() => start(option)}
                aria-description={describedAs('q_family', option)}
              >
                <Drawing question="q_family" option={option} />
                <span>{label}</span>
              </button>
            ))}
            <button type="button" className={styles['family']} onClick={() => start()}>
              <span>None of these; ask me</span>
            </button>
          </div>
        </section>
        <section className="card stack" aria-label="Found before">
          <h2 className="tape" style={{ alignSelf: 'start' }}>
            Found before
          </h2>
          {!findings && <NotYet reads={[read]} what="the findings" />}
          {findings?.length === 0 && (
            <p className="quiet">Nothing yet. From a ticket it begins on the card “Look at it”.</p>
          )}
          <ul className={styles['found']}>
            {findings?.map(({ id, vehicle, seenAt, result, confirmed, photos, where }) => (
              <li key={id}>
                <Link to={`/faults/${id}`} className="touch">
                  <strong>{faultName(confirmed?.fault ?? result.faults[0]?.id ?? '')}</strong> ·{' '}
                  {vehicle || 'a car that walked in'}
                  {where ? `, ${where}` : ''}
                </Link>
                <span className="quiet">
                  {whenText(seenAt)} ·{' '}
                  {confirmed
                    ? `confirmed: ${causeName(confirmed.cause).toLowerCase()}`
                    : result.decided
                      ? 'judged, not confirmed'
                      : 'not certain yet'}
                  {photos.length > 0
                    ? ` · ${photos.length} ${photos.length === 1 ? 'photo' : 'photos'}`
                    : ''}
                </span>
              </li>
            ))}
          </ul>
        </section>
      </div>
    </>
  );
}
