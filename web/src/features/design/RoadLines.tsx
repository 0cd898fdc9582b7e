import { useMemo, useState } from 'react';
import { msg, stationText } from '@idle-marker/words';
import { typed } from '../../field/draft.ts';
import { Choice } from '../../ui/Field.tsx';
import {
  elementPart,
  equationPart,
  intersectionPart,
  kerbPart,
  profilePart,
  startPart,
  stringPart,
} from './roadCells.ts';
import { RoadTable } from './RoadTable.tsx';
import type { EditRoadModel } from './useEditRoad.ts';

type WayBy = 'points' | 'elements';

/** The way of a road, its stations, heights and strings, each a table. */
export function RoadLines({ model }: { readonly model: EditRoadModel }) {
  const { units, style, before, way, setWay, equations, setEquations } = model;
  const { profile, setProfile, strings, setStrings, tried, errors } = model;
  const [by, setBy] = useState<WayBy>(() => (/^\s*start\b/i.test(way) ? 'elements' : 'points'));
  /** What was typed the other way stays for when one comes back to it. */
  const [other, setOther] = useState('');
  const parts = useMemo(() => {
    const site = { units, style };
    return {
      points: [{ part: intersectionPart(site), label: msg('design.tableOfPoints') }],
      elements: [
        { part: startPart(site), label: msg('design.tableOfStart'), isSingle: true },
        { part: elementPart(site), label: msg('design.tableOfElements') },
      ],
      equations: [{ part: equationPart(site), label: msg('design.tableOfEquations') }],
      profile: [{ part: profilePart(site), label: msg('design.tableOfProfile') }],
      strings: [
        { part: stringPart(site), label: msg('design.tableOfStrings') },
        { part: kerbPart(site), label: msg('design.tableOfKerbs') },
      ],
    };
  }, [units, style]);
  const said = (error: string | null, text: string) => (tried || text.trim() !== '' ? error : null);
  return (
    <div className="mt-4 flex flex-col gap-5">
      <div>
        <Choice
          label={msg('design.wayBy')}
          value={by}
          options={[
            ['points', msg('design.byPoints')],
            ['elements', msg('design.byElements')],
          ]}
          onChange={(next) => {
            setBy(next);
            setOther(way);
            setWay(other);
          }}
        />
        <RoadTable
          key={by}
          label={msg('design.itsWay')}
          parts={parts[by]}
          text={way}
          onText={setWay}
          error={said(errors.way, way)}
          tried={tried && before === null}
          help={
            before !== null && way.trim() === ''
              ? msg('design.asItCameFromElementsTypePoints', {
                  source: before.source,
                  elements: before.elements.length,
                })
              : by === 'points'
                ? msg('design.pointsHelp')
                : msg('design.elementsHelp')
          }
          textHelp={msg('design.intersectionPointsOneALineRadius80', {
            axes: units.axes[0] === 'e' ? '4018, 8052' : '8052, 4018',
          })}
        />
      </div>
      <RoadTable
        label={msg('design.whereItsStationsJump')}
        term="stationEquation"
        parts={parts.equations}
        text={equations.text}
        onText={(text) => setEquations(typed(text))}
        error={errors.equations}
        tried={tried}
        help={msg('design.equationsHelp')}
        textHelp={msg('design.backAheadOneALineEmptyWhen', {
          station: stationText(200, style, 0),
          station2: stationText(500, style, 0),
        })}
      />
      <RoadTable
        label={msg('design.profileVerticalAlignment')}
        parts={parts.profile}
        text={profile.text}
        onText={(text) => setProfile(typed(text))}
        error={errors.profile}
        tried={tried}
        help={msg('design.profileHelp')}
        textHelp={msg('design.gradePointsOneALine615', { station: stationText(110, style, 0) })}
      />
      <RoadTable
        label={msg('design.stringsAndKerbs')}
        parts={parts.strings}
        text={strings.text}
        onText={(text) => setStrings(typed(text))}
        error={errors.strings}
        tried={tried}
        help={msg('design.stringsHelp', { station: stationText(122, style, 0) })}
        textHelp={msg('design.oneALineLeftEdgeLeft3')}
      />
    </div>
  );
}
