import { useState } from 'react';
import { Link, useNavigate } from 'react-router';
import { useQuery } from '@tanstack/react-query';
import { msg, sayIn } from '@idle-marker/words';
import { Logo } from '../../ui/Logo.tsx';
import { Button } from '../../ui/Button.tsx';
import { dayAndTime } from '../../ui/time.ts';
import { fetchSites } from '../../data/sites.ts';
import { deviceWording } from '../../settings/siteDraft.ts';
import { NewSite } from './NewSite.tsx';
import { OpenArchive } from './OpenArchive.tsx';

export function Place() {
  // No site is open here: the page speaks as the device does.
  sayIn(deviceWording());
  const sites = useQuery({
    queryKey: ['sites'],
    queryFn: fetchSites,
    refetchInterval: (query) => (query.state.error ? 3000 : false),
  });
  const [making, setMaking] = useState(false);
  const navigate = useNavigate();
  return (
    <main className="mx-auto flex min-h-dvh max-w-2xl flex-col gap-5 p-6 pt-16">
      <h1 className="flex items-center gap-3 text-3xl">
        <Logo /> {msg('common.idleMarker')}
      </h1>
      <p className="text-ink2">{msg('sites.chooseASiteToWorkOnOr')}</p>
      {sites.isError && (
        <p role="alert" className="border-l-4 border-ochre pl-3">
          {msg('sites.theDatabaseDoesNotAnswerThisPage')}
        </p>
      )}
      {sites.isPending && <p className="text-ink2">{msg('sites.readingTheSites')}</p>}
      <ul className="flex flex-col gap-2">
        {sites.data?.map((site) => (
          <li key={site.id}>
            <Link
              to={`/sites/${site.id}/today`}
              className="flex min-h-14 items-center justify-between rounded-sm border-[1.5px] border-ink bg-sheet px-4"
            >
              <span className="text-lg font-semibold">{site.name}</span>
              {site.lastAt && (
                <span className="text-[13px] text-ink2">
                  {msg('sites.lastEntry', { dayAndTime: dayAndTime(site.lastAt) })}
                </span>
              )}
            </Link>
          </li>
        ))}
      </ul>
      {sites.data?.length === 0 && <p>{msg('sites.thereIsNoSiteYetMakeOne')}</p>}
      <div>
        <div className="flex flex-wrap gap-2">
          <Button look="primary" onClick={() => setMaking(true)}>
            {msg('sites.newSite2')}
          </Button>
          <OpenArchive />
        </div>
      </div>
      <NewSite
        open={making}
        onClose={() => setMaking(false)}
        taken={sites.data?.map((site) => site.name) ?? []}
        onMade={(id) => void navigate(`/sites/${id}/control`)}
      />
    </main>
  );
}
