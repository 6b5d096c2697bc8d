/**
 * Which issue of its sheet a stage goes by, where a newer one is kept; until it is begun it may go
 * over.
 */
import { Button } from '@mantine/core';
import type { Sheet } from '@orthochrom/contract/sheet/sheet.ts';
import type { SheetVersion } from '@orthochrom/contract/shop/ticket.ts';
import { IssueAgainst } from '../../sheets/IssueAgainst.tsx';
import styles from './StagePicker.module.css';

type StageIssueProps = {
  sheet: Sheet;
  newest: SheetVersion;
  products: readonly Sheet[];
  isBegun: boolean;
  /** Recipes before and after, where the newer issue has none of that name. */
  recipes?: { was: string; now: string };
  onTake: () => void;
};

export function StageIssue(props: StageIssueProps) {
  const { sheet, newest, products, isBegun, recipes, onTake } = props;
  return (
    <div className={styles['issue']} role="note">
      <p>
        Goes by issue {sheet.number} of its sheet; issue {newest.sheet.number}, printed{' '}
        {newest.sheet.issuedOn}, is kept.{' '}
        {isBegun ? 'A coat of this stage was begun: it stays with its issue.' : ''}
        {!isBegun && recipes
          ? `It has no recipe ${recipes.was}: the stage would take ${recipes.now}.`
          : ''}
      </p>
      {!isBegun && (
        <Button variant="default" onClick={onTake}>
          Go by issue {newest.sheet.number}
        </Button>
      )}
      <IssueAgainst issue={newest.sheet} before={sheet} products={products} />
    </div>
  );
}
