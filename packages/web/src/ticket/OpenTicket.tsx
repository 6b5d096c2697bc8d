/** The heart: the film stack as spine, the one next thing large, the clock below. */
import { blockingCoat, nextCoat } from '@orthochrom/contract/plan/coatOrder.ts';
import { gateAbout, gateStateOf, gateToday } from '@orthochrom/contract/plan/gateToday.ts';
import { phasesOf } from '@orthochrom/contract/plan/phases.ts';
import { isPrepHeld, openBefore, prepList } from '@orthochrom/contract/plan/prepList.ts';
import { prepWhere } from '@orthochrom/contract/plan/standing.ts';
import type { AirNow } from '@orthochrom/contract/shop/air.ts';
import type { ShopSetup } from '@orthochrom/contract/shop/setup.ts';
import type { SheetVersion, TicketWhole } from '@orthochrom/contract/shop/ticket.ts';
import type { Coat } from '@orthochrom/contract/shop/coat.ts';
import { worstLevel } from '@orthochrom/core/outcome/verdicts.ts';
import { memo, startTransition, useEffect, useMemo, useRef, useState } from 'react';
import { useNowMs } from '../api/serverClock.ts';
import { AirStrip } from '../frame/AirStrip.tsx';
import { PageHead } from '../frame/PageHead.tsx';
import { usePainter } from '../frame/painter.ts';
import { AirCard } from './air/AirCard.tsx';
import {
  awaitedBy,
  currentStep,
  flashTimer,
  liveMix,
  newestMix,
  wishesOfCup,
  type Step,
} from './coatSteps.ts';
import { CleanCard } from './clean/CleanCard.tsx';
import { FilmSpine } from './FilmSpine.tsx';
import { FlashCard } from './flash/FlashCard.tsx';
import { GateCard } from './gate/GateCard.tsx';
import { GunCard } from './gun/GunCard.tsx';
import { LookCard } from './look/LookCard.tsx';
import { MixCard } from './mix/MixCard.tsx';
import { STAGE_NAME, STATE_NAME } from '../words/tradeNames.ts';
import { panelName } from '@orthochrom/contract/words/panelWords.ts';
import { useOnList } from './prep/useOnList.ts';
import { PrepCard } from './prep/PrepCard.tsx';
import { SprayCard } from './spray/SprayCard.tsx';
import { StageTitle } from './StageTitle.tsx';
import { StepTabs } from './StepTabs.tsx';
import styles from './TicketPage.module.css';
import { TimeRibbon } from './TimeRibbon.tsx';
import type { Wishes } from '@orthochrom/contract/plan/contextOf.ts';
import { inWarmerAir, usePlan, usePlanContext } from './useCoatPlan.ts';
import { AWAITED_WORDS, IdleStep } from './step/IdleStep.tsx';
import { DrawerContents } from './step/stepDrawer.ts';
import { WhatIf } from './step/WhatIf.tsx';
import { Why } from './step/Why.tsx';

/**
 * Where hardener or solvent is open: what stands always is one line there, and first aid is one
 * touch away.
 */
const SAFETY_STEPS: readonly Step[] = ['gate', 'mix', 'gun', 'spray', 'flash', 'clean'];

const HOUR_MS = 3_600_000;

type OpenTicketProps = {
  whole: TicketWhole;
  setup: ShopSetup;
  latest: SheetVersion[];
  air: AirNow;
  keep: (whole: TicketWhole) => void;
};

/** Drawn anew only when what it is given changes: the page above it hears of every read. */
export const OpenTicket = memo(function OpenTicket({
  whole,
  setup,
  latest,
  air,
  keep,
}: OpenTicketProps) {
  const { ticket, coats } = whole;
  const { painter } = usePainter();
  const nowMs = useNowMs(5000);
  const [pickedCoatId, pickCoat] = useState<string>();
  const [pickedStep, pickStep] = useState<Step>();
  const [seenAirOf, setSeenAirOf] = useState<string>();
  const [ownWishes, setWishes] = useState<Wishes>();
  const [deltaC, setDeltaC] = useState(0);
  const top = useRef<HTMLDivElement>(null);
  const onList = useOnList(whole);
  const coat =
    coats.find(({ id }) => id === pickedCoatId) ?? nextCoat(ticket.stages, coats) ?? coats.at(-1)!;
  const room = setup.rooms.find(({ id }) => id === ticket.roomId)!;
  const mix = liveMix(whole.mixes, coat.stageId, nowMs);
  const inCup = useMemo(() => wishesOfCup(whole, mix), [whole, mix]);
  const wishes = ownWishes ?? inCup;
  const shop = useMemo(() => ({ setup, latest, air }), [setup, latest, air]);
  const context = usePlanContext({ whole, ...shop }, coat, wishes);
  const plan = usePlan(context);
  const warmer = usePlan(context && deltaC !== 0 ? inWarmerAir(context, deltaC) : undefined);
  // Months and air move it, not the seconds.
  const hour = Math.floor(nowMs / HOUR_MS);
  const prep = useMemo(
    () => context && plan && prepList(onList, prepWhere(context, plan, hour * HOUR_MS)),
    [onList, context, plan, hour],
  );
  const stage = ticket.stages.find(({ id }) => id === coat.stageId)!;
  if (!context || !plan)
    return (
      <p className="page" role="alert">
        The data sheet or the gun of this stage is missing.
      </p>
    );

  const asked = { roomId: room.id, painterId: painter.id, nowMs, timeZone: setup.shop.timeZone };
  const gate = gateStateOf(whole.gates, {
    ...asked,
    stageId: stage.id,
    about: gateAbout(room, stage, context.sheet),
  });
  const gatePassed = gate.state === 'passed';
  const isPrepDone = prep !== undefined && openBefore(onList, prep, stage.id).length === 0;
  const earlier = gateToday(whole.gates, asked);
  const step = currentStep(whole, coat, {
    isMadeReady: isPrepDone || !isPrepHeld(onList),
    gatePassed,
    airSeen: seenAirOf === coat.id,
    hasMix: mix !== undefined,
  });
  const shown = pickedStep ?? step;
  const isBlocked = blockingCoat(ticket.stages, coats, coat);
  const goOn = (next: TicketWhole) => {
    keep(next);
    startTransition(() => {
      // A late answer must not pull the painter back from a coat or a card picked meanwhile.
      pickCoat((picked) => picked ?? coat.id);
      pickStep((picked) => (picked === pickedStep ? undefined : picked));
      setDeltaC(0);
    });
  };
  const toStep = (next: Step) => startTransition(() => pickStep(next));
  const selectCoat = (coatId: string) => {
    pickCoat(coatId);
    pickStep(undefined);
    setWishes(undefined);
  };
  const follow = (next: Coat | undefined) => selectCoat(next?.id ?? '');
  const drawer = {
    whatIf: <WhatIf {...{ plan, warmer, deltaC, setDeltaC, gatePassed }} />,
    why: <Why plan={plan} step={shown} gatePassed={gatePassed} />,
  };
  const shared = { whole, coat, stage, context, plan, painter, keep: goOn };
  const awaited = awaitedBy(shown, coat, gatePassed);
  const turn = awaited ? undefined : shown;
  const toNext = { next: step, onNext: () => toStep(step) };
  const timer = flashTimer(whole.timers, coat.id);
  return (
    <div className={styles['page']} ref={top}>
      <PageHead
        isTight
        title={`${ticket.number} · ${ticket.vehicle}`}
        line={`${ticket.panels.map(({ name }) => panelName(name)).join(', ')} · ${painter.name}`}
      >
        <AirStrip air={air} level={worstLevel(plan.climate.verdicts)} room={room.name} />
      </PageHead>
      <div className={styles['columns']}>
        <FilmSpine
          whole={whole}
          selectedId={coat.id}
          phases={phasesOf(whole, prep)}
          onSelect={selectCoat}
        />
        <section className={styles['centre']} aria-label="Stage card">
          <StepTabs
            current={step}
            shown={shown}
            onPick={toStep}
            done={{ prep: isPrepDone, gate: gatePassed }}
          />
          <StageTitle context={context} coat={coat} isOpen={SAFETY_STEPS.includes(shown)} />
          <ScrollToTop key={`${coat.id}${shown}`} of={top} />
          {isBlocked && step !== 'gate' && step !== 'prep' && (
            <p className={styles['blocked']}>
              {STAGE_NAME[ticket.stages.find(({ id }) => id === isBlocked.stageId)!.kind]}{' '}
              {isBlocked.ordinal} comes first: it is {STATE_NAME[isBlocked.state]}.
            </p>
          )}
          <DrawerContents value={drawer}>
            {awaited && <IdleStep {...toNext}>{AWAITED_WORDS[awaited]}</IdleStep>}
            {turn === 'prep' && prep && (
              <PrepCard {...shared} list={prep} shop={shop} onGate={() => toStep('gate')} />
            )}
            {turn === 'gate' && (
              <GateCard {...shared} room={room} latest={gate.gate ?? earlier} gate={gate} />
            )}
            {turn === 'air' && (
              <AirCard
                {...shared}
                room={room}
                air={air}
                onGo={() => startTransition(() => (setSeenAirOf(coat.id), pickStep('mix')))}
              />
            )}
            {turn === 'mix' && (
              <MixCard
                {...shared}
                key={coat.id}
                mix={mix}
                cups={setup.cups}
                wishes={wishes}
                setWishes={setWishes}
                blocked={isBlocked !== undefined}
                onGun={() => toStep('gun')}
              />
            )}
            {turn === 'gun' && (
              <GunCard
                {...shared}
                key={`${coat.id}${context.gun.id}`}
                guns={setup.guns}
                pickGun={(gunId) => setWishes({ ...wishes, gunId })}
                wishes={wishes}
                setWishes={setWishes}
                onSpray={() => toStep('spray')}
              />
            )}
            {turn === 'spray' && (
              <SprayCard
                keepHere={keep}
                {...shared}
                mix={mix ?? newestMix(whole.mixes, stage.id)}
                gatePassed={gatePassed}
                askGate={() => toStep('gate')}
                toNext={toNext}
              />
            )}
            {turn === 'flash' && timer && (
              <FlashCard {...shared} timer={timer} gate={gate.gate ?? earlier} />
            )}
            {turn === 'look' && <LookCard {...shared} key={coat.id} follow={follow} />}
            {turn === 'clean' && (
              <CleanCard {...shared} {...{ follow, toNext }} gate={gate.gate ?? earlier} />
            )}
          </DrawerContents>
        </section>
      </div>
      <TimeRibbon whole={whole} context={context} plan={plan} coatId={coat.id} nowMs={nowMs} />
    </div>
  );
});

/** Each card begins at its top. */
function ScrollToTop({ of }: { of: React.RefObject<HTMLDivElement | null> }) {
  useEffect(() => {
    // With the frame that lays the card out: earlier it would be laid out twice.
    const frame = requestAnimationFrame(() => of.current?.parentElement?.scrollTo({ top: 0 }));
    return () => cancelAnimationFrame(frame);
  }, [of]);
  return null;
}
