import { laserCaution, type Caution } from '@idle-marker/records';
import { cautionWords } from '@idle-marker/words';
import { useLinked } from '../link/linkStore.ts';
import { useSite } from '../site/SiteContext.tsx';
import { Button } from '../ui/Button.tsx';
import { Card } from '../ui/Slip.tsx';

/** One caution: it stays until somebody says what was done about it, and then is not asked again that day. */
export function CautionCard({
  caution: { code, who, about, area },
  on,
}: {
  caution: Caution;
  /** For what work. */ on: string;
}) {
  const { say } = useSite();
  const { title, text, answer } = cautionWords(code, area?.body.name ?? null, who);
  return (
    <Card
      tone="ochre"
      title={title}
      actions={
        <Button
          onClick={() =>
            void say({ type: 'care', body: { what: code, about, text: `${on}: ${answer.toLowerCase()}` } })
          }
        >
          {answer}
        </Button>
      }
    >
      {text}
    </Card>
  );
}

/** While the target in use is a bare surface: the beam can be seen. */
export function LaserCaution({ on }: { on: string }) {
  const { state, inForce, now } = useSite();
  const item = useLinked((link) => link?.pole.target?.item ?? null);
  const isSurface = state.equipment.some(
    ({ body }) => body.item === item && body.what.kind === 'target' && body.what.form === 'surface',
  );
  const caution = inForce && isSurface ? laserCaution(state, inForce, now) : null;
  return caution && <CautionCard caution={caution} on={on} />;
}
