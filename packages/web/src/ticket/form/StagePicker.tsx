import { Button, CloseButton, ColorInput, NumberInput, Select, TextInput } from '@mantine/core';
import { colourOver } from '@orthochrom/contract/plan/groundFor.ts';
import type { ShopSetup } from '@orthochrom/contract/shop/setup.ts';
import type { SheetVersion, StagePlan } from '@orthochrom/contract/shop/ticket.ts';
import { useMemo } from 'react';
import { GroundCards } from '../ground/GroundCards.tsx';
import { STAGE_NAME } from '../../words/tradeNames.ts';
import styles from './StagePicker.module.css';
import { StageIssue } from './StageIssue.tsx';
import { byIssue, newestIssues, newStage, paintSheets, type TicketDraft } from './ticketDraft.ts';

type StagePickerProps = {
  draft: TicketDraft;
  setup: ShopSetup;
  /** Those that stages are pinned to, and the newest of every product. */
  sheets: SheetVersion[];
  /** Stages that stay with their sheet: coats of them were begun. */
  begun: ReadonlySet<string>;
  onChange: (stages: StagePlan[]) => void;
  error: string | undefined;
};

export function StagePicker({ draft, setup, sheets, begun, onChange, error }: StagePickerProps) {
  const paints = paintSheets(newestIssues(sheets));
  const change = (id: string, changes: StageChanges) =>
    onChange(
      draft.stages.map((stage) => (stage.id === id ? without({ ...stage, ...changes }) : stage)),
    );
  return (
    <fieldset className={`card stack ${styles['stages']}`}>
      <legend className="tape">Stages, lowest first</legend>
      {draft.stages.map((stage, i) => (
        <Stage
          key={stage.id}
          {...{ stage, setup, draft, sheets }}
          place={i + 1}
          sheet={sheets.find(({ id }) => id === stage.sheetVersionId)?.sheet}
          isBegun={begun.has(stage.id)}
          onChange={(changes) => change(stage.id, changes)}
          onRemove={() => onChange(draft.stages.filter(({ id }) => id !== stage.id))}
        />
      ))}
      <div>
        <span className="label">Add a stage from its data sheet</span>
        <div className={styles['add']}>
          {paints.map((version) => (
            <Button
              key={version.id}
              size="compact-lg"
              variant="default"
              onClick={() => onChange([...draft.stages, newStage(version, draft, setup)])}
            >
              {version.sheet.name.replace(`${version.sheet.line} `, '')}
            </Button>
          ))}
        </div>
      </div>
      {error && <span role="alert">{error}</span>}
    </fieldset>
  );
}

/** What is told as undefined is taken back. */
type StageChanges = { [K in keyof StagePlan]?: StagePlan[K] | undefined };
const without = (stage: StageChanges): StagePlan =>
  Object.fromEntries(Object.entries(stage).filter(([, value]) => value !== undefined)) as StagePlan;

type StageProps = {
  stage: StagePlan;
  place: number;
  sheet: SheetVersion['sheet'] | undefined;
  setup: ShopSetup;
  draft: TicketDraft;
  sheets: SheetVersion[];
  isBegun: boolean;
  onChange: (changes: StageChanges) => void;
  onRemove: () => void;
};

function Stage(props: StageProps) {
  const { stage, place, sheet, setup, draft, sheets, isBegun, onChange, onRemove } = props;
  const over = useMemo(
    () => colourOver(draft.stages, stage.id, sheets),
    [draft.stages, stage.id, sheets],
  );
  const { panels, jobSize } = draft;
  const job = useMemo(() => ({ panels, jobSize }), [panels, jobSize]);
  const name = (
    <div className={styles['name']}>
      <strong>
        {place}. {STAGE_NAME[stage.kind]}
      </strong>
      <span className="quiet">{sheet?.name ?? 'its sheet is not kept in this shop'}</span>
      <CloseButton size="xl" aria-label={`Take stage ${place} off`} onClick={onRemove} />
    </div>
  );
  if (!sheet) return <div className={styles['stage']}>{name}</div>;
  const newest = newestIssues(sheets).find((version) => version.sheet.id === sheet.id);
  const recipe = sheet.recipes?.find(({ name }) => name === stage.recipeName);
  return (
    <div className={styles['stage']}>
      {name}
      {newest && newest.sheet.number > sheet.number && (
        <StageIssue
          {...{ sheet, newest, isBegun }}
          products={sheets.map((version) => version.sheet)}
          {...recipesMoved(stage, byIssue(stage, newest))}
          onTake={() => onChange(byIssue(stage, newest))}
        />
      )}
      {(sheet.stages?.length ?? 0) > 1 && (
        <Select
          label="As"
          disabled={isBegun}
          value={stage.kind}
          data={sheet.stages!.map((kind) => ({ value: kind, label: STAGE_NAME[kind] }))}
          onChange={(kind) => kind && onChange({ kind: kind as StagePlan['kind'] })}
        />
      )}
      <Select
        label="Recipe"
        value={stage.recipeName}
        data={sheet.recipes!.map(({ name, use }) => ({ value: name, label: `${name}, ${use}` }))}
        onChange={(recipeName) => recipeName && onChange({ recipeName })}
      />
      <NumberInput
        label="Coats"
        description={recipe ? `the sheet: ${recipe.coats.join(' to ')}` : undefined}
        value={stage.coats}
        min={1}
        max={12}
        allowDecimal={false}
        {...(recipe && stage.coats > recipe.coats[1]
          ? { error: `Over the sheet’s ${recipe.coats[1]}: each coat beyond wants a word why.` }
          : {})}
        onChange={(coats) => typeof coats === 'number' && onChange({ coats })}
      />
      {recipe?.blendOnly && (
        <p className={styles['blendOnly']}>
          Blend only: it melts the edges of blend and spot panels, and counts as no film.
        </p>
      )}
      {sheet.finishes && (
        <Select
          label="Finish"
          value={stage.finish ?? null}
          data={sheet.finishes}
          onChange={(finish) =>
            finish && onChange({ finish: finish as NonNullable<StagePlan['finish']> })
          }
        />
      )}
      {(sheet.shades !== undefined || stage.kind === 'ground') && over && (
        <GroundCards
          {...{ stage, sheet, over, job }}
          gun={setup.guns.find(({ id }) => id === over.stage.gunId) ?? setup.guns[0]}
          strongSun={draft.strongSun ?? false}
          shop={{ sheets, setup }}
          onPick={({ name, colour, tint }) =>
            onChange({ colourName: name, colourHex: colour, tint })
          }
        />
      )}
      {sheet.shades && over ? null : sheet.shades ? (
        <Select
          label="Shade"
          value={stage.colourName}
          data={sheet.shades.map(({ name }) => name)}
          onChange={(name) =>
            name &&
            onChange({
              colourName: name,
              colourHex: sheet.shades!.find((shade) => shade.name === name)!.colour,
            })
          }
        />
      ) : stage.kind === 'clear' ? null : (
        <>
          <TextInput
            label="Colour and code"
            value={stage.colourName}
            maxLength={80}
            onChange={(event) => onChange({ colourName: event.currentTarget.value })}
          />
          <TextInput
            label="Variant, where its code has several"
            value={stage.variant ?? ''}
            maxLength={80}
            onChange={(event) => onChange({ variant: event.currentTarget.value })}
          />
          <ColorInput
            withEyeDropper={false}
            size="md"
            label="Looks about like"
            value={stage.colourHex ?? ''}
            format="hex"
            onChange={(colourHex) => /^#[0-9a-f]{6}$/i.test(colourHex) && onChange({ colourHex })}
          />
        </>
      )}
      <Select
        label="Gun"
        value={stage.gunId ?? null}
        data={setup.guns.map(({ id, name }) => ({ value: id, label: name }))}
        onChange={(gunId) => gunId && onChange({ gunId })}
      />
      <Select
        label="The work is"
        value={stage.part}
        data={[
          { value: 'largePanel', label: 'Large panels' },
          { value: 'smallPart', label: 'Small parts' },
          { value: 'jamb', label: 'Jambs' },
          { value: 'spot', label: 'A spot' },
        ]}
        onChange={(part) => part && onChange({ part: part as StagePlan['part'] })}
      />
    </div>
  );
}

/** That a stage would take another recipe is told before it does. */
const recipesMoved = (
  { recipeName: was }: StagePlan,
  { recipeName: now }: Pick<StagePlan, 'recipeName'>,
) => (was === now ? {} : { recipes: { was, now } });
