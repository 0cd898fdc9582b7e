import { msg } from '@idle-marker/words';
import { Button } from '../../ui/Button.tsx';

import type { StationWorkModel } from './useStationWork.ts';

export function StationWorkActions({ model }: { readonly model: StationWorkModel }) {
  const { setAccepting, solved, onLines, shooting, sight, isReady, target } = model;
  return (
    <>
      {shooting.doing ? (
        <Button onClick={shooting.cancel}>{msg('common.cancel')}</Button>
      ) : (
        <Button
          look={isReady ? 'plain' : 'primary'}
          hint="A"
          disabled={!target}
          onClick={() => target && void sight(target.id)}
        >
          {target
            ? msg('common.sight2', { name: target.revision.body.name })
            : onLines
              ? msg('station.chooseALine')
              : msg('common.chooseAMark')}
        </Button>
      )}
      <Button
        look={isReady ? 'primary' : 'plain'}
        hint={msg('common.enter')}
        disabled={!solved || shooting.doing !== null}
        onClick={() => setAccepting(true)}
      >
        {solved && !isReady ? msg('station.acceptOrRefuse') : msg('station.acceptStation')}
      </Button>
    </>
  );
}
