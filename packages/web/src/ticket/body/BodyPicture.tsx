/** The car folded open, each panel with what it gets: touched to take it in. */
import { panelName } from '@orthochrom/contract/words/panelWords.ts';
import type { Body } from '@orthochrom/core/body/bodyMap.ts';
import type { Scope } from '@orthochrom/core/layers/foundLayer.ts';
import { SCOPE_NAME } from '../found/foundWords.ts';
import { BodyDrawing } from './BodyDrawing.tsx';
import styles from './BodyPicture.module.css';

type BodyPictureProps = {
  body: Body;
  /** What each panel on the job gets, by its name. */
  scopes: ReadonlyMap<string, Scope>;
  selected: string | undefined;
  onTouch: (name: string) => void;
};

const SCOPE_MARK: Record<Scope, string> = {
  full: '●',
  blend: '◐',
  spot: '◉',
  clearOnly: '○',
  leave: '–',
};

export function BodyPicture({ body, scopes, selected, onTouch }: BodyPictureProps) {
  return (
    <BodyDrawing
      body={body}
      label={`Panels of a ${body}, folded open`}
      onTouch={onTouch}
      lookOf={(id) => {
        const scope = scopes.get(id);
        return {
          label: `${panelName(id)}${scope ? `: ${SCOPE_NAME[scope]}` : ''}`,
          className: `${styles['panel']} ${scope ? styles[scope] : ''} ${id === selected ? styles['selected'] : ''}`,
          isPressed: scope !== undefined,
          ...(scope ? { mark: SCOPE_MARK[scope] } : {}),
        };
      }}
    />
  );
}
