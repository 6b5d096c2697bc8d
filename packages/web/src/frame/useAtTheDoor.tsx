/** Who is at the screen, and what stands before the shop: its first opening, or its door. */
import { useEffect, useMemo, useState, type ReactNode } from 'react';
import { useSWRConfig } from 'swr';
import { ApiFault, SIGNED_OUT } from '../api/client.ts';
import { forgetReads } from '../api/keptReads.ts';
import { useSetup, useWho } from '../api/reads.ts';
import { refresh } from '../api/resources.ts';
import { goByZone } from '../words/timeText.ts';
import { late } from './late.tsx';
import { usePickedPainterId, type PainterState } from './painter.ts';

const OPENING = <p className="page">Opening the page …</p>;
/** Seen once in the life of a shop: not with every first page. */
const FirstRun = late(async () => (await import('../firstRun/FirstRun.tsx')).FirstRun, OPENING);
const SignInPage = late(async () => (await import('../signIn/SignInPage.tsx')).SignInPage, OPENING);

type AtTheDoor = {
  /** Who is in. */
  state?: PainterState | undefined;
  /** As whose the pages stand: also of who was in, behind a door that shut on a trusted device. */
  within?: PainterState | undefined;
  door?: ReactNode;
  error?: Error | undefined;
};

export function useAtTheDoor(): AtTheDoor {
  const { cache } = useSWRConfig();
  const { data: who, error: whoError } = useWho();
  const { data: setup, error } = useSetup();
  const [pickedId, pick] = usePickedPainterId();
  useEffect(() => {
    const ask = () => void refresh('signIn');
    SIGNED_OUT.addEventListener('signed-out', ask);
    return () => SIGNED_OUT.removeEventListener('signed-out', ask);
  }, []);
  const isStranger = who?.isAsked === true && !who.device;
  useEffect(() => {
    if (isStranger) void forgetReads(cache);
  }, [isStranger, cache]);
  const painterId = who?.isAsked ? who.me?.id : pickedId;
  const role = who?.isAsked ? who.me?.role : 'lead';
  const painter =
    setup?.painters.find(({ id }) => id === painterId) ??
    (who?.isAsked ? undefined : setup?.painters[0]);
  const state = useMemo(() => {
    if (!painter || !setup || !role) return undefined;
    goByZone(setup.shop.timeZone);
    return { painter, painters: setup.painters, pick, role };
  }, [painter, setup, pick, role]);
  const [last, setLast] = useState(state);
  if (state && state !== last) setLast(state);
  const isNoShop = error instanceof ApiFault && error.status === 404;
  // A stranger of an empty shop is told there is none by its door alone.
  if (who && (isNoShop || (who.isAsked && !who.me && who.wantsCode && who.isEmpty)))
    return { door: <FirstRun isAsked={who.isAsked} /> };
  if (who?.isAsked && !who.me)
    return { door: <SignInPage who={who} />, within: who.device ? last : undefined };
  const now = who && state;
  return { state: now, within: now, error: whoError ?? error };
}
