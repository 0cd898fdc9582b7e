import { msg } from '@idle-marker/words';
import { Button } from '../ui/Button.tsx';
import { Card } from '../ui/Slip.tsx';

/** Whether what was driven stands firm: a loose hub is a bad mark tomorrow. */
export function FirmCard({ firm, onFirm }: { firm: boolean | undefined; onFirm(firm: boolean): void }) {
  return (
    <Card
      tone={firm === false ? 'ochre' : 'ink'}
      title={firm === undefined ? msg('pole.drivenIsItFirm') : firm ? msg('common.firm') : msg('pole.loose')}
      actions={
        <>
          <Button aria-pressed={firm === true} onClick={() => onFirm(true)}>
            {msg('common.firm')}
          </Button>
          <Button aria-pressed={firm === false} onClick={() => onFirm(false)}>
            {msg('pole.loose')}
          </Button>
        </>
      }
    >
      {firm === false ? msg('pole.driveItDeeperOrSetALonger') : msg('pole.pushItWithTheBootThenShoot')}
    </Card>
  );
}
