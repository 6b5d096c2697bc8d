/** Photos of what was found. They are kept and shown; nothing pretends to read them. */
import { ADDRESS } from '../api/resources.ts';
import { FileButton, Button } from '@mantine/core';
import {
  MOST_PHOTO_BYTES,
  MOST_PHOTOS,
  PHOTO_TYPES,
  type Finding,
} from '@orthochrom/contract/shop/finding.ts';
import { useRef } from 'react';
import { v7 as newId } from 'uuid';
import { noteDown } from '../api/outbox.ts';
import { useWrite } from '../api/useWrite.ts';
import { usePainter } from '../frame/painter.ts';
import { whenText } from '../words/timeText.ts';
import styles from './PhotosCard.module.css';

const MEGA = 1_000_000;

export function PhotosCard({
  finding,
  take,
}: {
  finding: Finding;
  take: (finding: Finding) => void;
}) {
  const { painter } = usePainter();
  const [busy, write] = useWrite();
  const reset = useRef<() => void>(null);
  const add = (file: File | null) => {
    if (!file) return;
    void write(async () => {
      if (file.size > MOST_PHOTO_BYTES)
        throw new Error(
          `This photo has ${(file.size / MEGA).toFixed(1)} MB; up to ${MOST_PHOTO_BYTES / MEGA} MB is possible.`,
        );
      take(
        await noteDown<Finding>(
          'Photo',
          'POST',
          ADDRESS.newPhoto(finding.id, { id: newId(), painterId: painter.id }),
          file,
        ),
      );
    }).then(() => reset.current?.());
  };
  return (
    <section className="card stack" aria-label="Photos">
      <h2 className="tape" style={{ alignSelf: 'start' }}>
        Photos
      </h2>
      {finding.photos.length === 0 && (
        <p className="quiet">None yet. A torch held flat to the panel shows most.</p>
      )}
      <ul className={styles['photos']}>
        {finding.photos.map(({ id, takenAt, widthPx, heightPx }) => (
          <li key={id}>
            <a href={ADDRESS.photo(id)} target="_blank" rel="noreferrer">
              <img
                src={ADDRESS.photo(id, 'thumb')}
                alt={`Photo of ${whenText(takenAt)}, ${widthPx} by ${heightPx}`}
              />
            </a>
          </li>
        ))}
      </ul>
      <FileButton
        resetRef={reset}
        accept={PHOTO_TYPES.join(',')}
        onChange={add}
        inputProps={{ 'aria-label': 'Photo file' }}
      >
        {(props) => (
          <Button
            {...props}
            variant="default"
            loading={busy}
            disabled={finding.photos.length >= MOST_PHOTOS}
            style={{ alignSelf: 'start' }}
          >
            Add a photo
          </Button>
        )}
      </FileButton>
    </section>
  );
}
