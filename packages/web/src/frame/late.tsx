/**
 * A part that comes when it is first wanted. Where it does not come (the server is away, or is
 * newer than this page and holds the file no more), that is said in its place: the page round it
 * stands.
 */
import { Button } from '@mantine/core';
import { useEffect, useState, type ComponentType, type ReactNode } from 'react';
import { openAnew } from '../api/pageAge.ts';

/** @param meanwhile what stands there until it has come */
export function late<Props extends object>(
  load: () => Promise<ComponentType<Props>>,
  meanwhile: ReactNode = null,
): ComponentType<Props> {
  let come: ComponentType<Props> | undefined;
  return function Late(props: Props) {
    const [Part, setPart] = useState(() => come);
    const [isMissing, setMissing] = useState(false);
    useEffect(() => {
      if (come) return;
      load().then(
        (part) => {
          come = part;
          setPart(() => part);
        },
        () => setMissing(true),
      );
    }, []);
    if (Part) return <Part {...props} />;
    return isMissing ? <Missing /> : meanwhile;
  };
}

/** A browser asks for a script once in the life of a page: only anew it is asked for again. */
const Missing = () => (
  <div role="alert" className="card row">
    <span>
      What opens here has not come: the shop’s server does not answer, or is newer than this page.
      Save what you are typing, then open the page anew.
    </span>
    <Button variant="default" onClick={() => void openAnew()}>
      Open it anew
    </Button>
  </div>
);
