/**
 * Somebody changed the same thing meanwhile: both sides, side by side, and the choice. Nothing was
 * overwritten.
 */
import { refreshAll } from '../api/resources.ts';
import { Button, Modal } from '@mantine/core';
import { closeClash, differences, type Clash } from '../api/clash.ts';

export function ClashDialog({ clash }: { clash: Clash }) {
  const useTheirs = () => {
    closeClash();
    void refreshAll();
  };
  return (
    <Modal opened onClose={closeClash} title="Changed by somebody else meanwhile" size="lg">
      <div className="stack">
        <p>{clash.message}</p>
        <div className="scrollx">
          <table className="plain">
            <thead>
              <tr>
                <th>Where</th>
                <th>Yours</th>
                <th>Theirs, saved</th>
              </tr>
            </thead>
            <tbody>
              {differences(clash.mine, clash.theirs).map(({ field, mine, theirs }) => (
                <tr key={field}>
                  <td>{field}</td>
                  <td>{mine}</td>
                  <td>{theirs}</td>
                </tr>
              ))}
            </tbody>
          </table>
        </div>
        <div className="row">
          <Button onClick={useTheirs}>Take theirs</Button>
          {clash.putMine && (
            <Button
              variant="default"
              onClick={() => {
                closeClash();
                clash.putMine?.();
              }}
            >
              Put mine over theirs
            </Button>
          )}
          <Button variant="default" onClick={closeClash}>
            Back to what I typed
          </Button>
        </div>
      </div>
    </Modal>
  );
}
