import { useEffect, useRef, useState } from 'react';
import type { Fact } from '@idle-marker/contract';
import { msg } from '@idle-marker/words';
import { keepPhoto, photoAddress, sendPhotos, shrink } from '../data/photos.ts';
import { newId } from '../data/uuid.ts';
import { useSite } from '../site/SiteContext.tsx';
import { Button } from '../ui/Button.tsx';
import { Field } from '../ui/Field.tsx';
import { dayAndTime } from '../ui/time.ts';

interface MarkPhotosProps {
  readonly mark: string;
  readonly name: string;
  /** They show what was really written on the stake. */
  readonly written?: boolean;
}

/** Photos of a mark: what it looks like and where to look for it. */
export function MarkPhotos({ mark, name, written = false }: MarkPhotosProps) {
  const { id, state, say } = useSite();
  const photos = (state.photos.get(mark) ?? []).filter((photo) => !written || photo.body.written);
  const [caption, setCaption] = useState('');
  const [trouble, setTrouble] = useState<string | null>(null);
  const input = useRef<HTMLInputElement>(null);
  useEffect(() => {
    // What waited for the server goes out when somebody looks.
    void sendPhotos(id).then(setTrouble);
  }, [id]);
  const add = async (file: File) => {
    try {
      const photo = await shrink(file);
      const image = newId();
      setTrouble(await keepPhoto(id, image, photo));
      await say({
        type: 'photo',
        body: {
          mark,
          image,
          mediaType: photo.mediaType,
          bytes: photo.bytes.byteLength,
          caption: caption.trim(),
          ...(written ? { written } : {}),
        },
      });
      setCaption('');
    } catch {
      setTrouble(msg('pole.isNoPictureThatCanBeRead', { name: file.name }));
    }
  };
  return (
    <section className="mt-4" aria-label={msg('pole.photosOf', { name })}>
      <h3 className="text-[15px]">{written ? msg('pole.whatWasReallyWritten') : msg('pole.photos')}</h3>
      {photos.length > 0 && (
        <ul className="my-2 flex flex-wrap gap-3">
          {photos.map((photo) => (
            <li key={photo.id} className="w-40">
              <Picture site={id} photo={photo} name={name} />
              <span className="block text-[13px] text-ink2">
                {dayAndTime(photo.at)}
                {photo.body.caption && `: ${photo.body.caption}`}
              </span>
            </li>
          ))}
        </ul>
      )}
      <div className="flex flex-wrap items-end gap-2">
        <Field
          className="min-w-48 flex-1"
          label={msg('pole.whatTheNextOneShows')}
          value={caption}
          maxLength={200}
          placeholder={written ? msg('pole.frontOfTheLath') : msg('pole.nailInTheKerbNorthOfThe')}
          onChange={(event) => setCaption(event.target.value)}
        />
        <input
          ref={input}
          type="file"
          accept="image/*"
          className="sr-only"
          tabIndex={-1}
          aria-label={msg('pole.photoOf', { name })}
          onChange={(event) => {
            const [file] = event.target.files ?? [];
            if (file) void add(file);
            event.target.value = '';
          }}
        />
        <Button onClick={() => input.current?.click()}>{msg('pole.addAPhoto')}</Button>
      </div>
      {trouble && <p className="mt-1 font-medium text-ochre">{trouble}</p>}
    </section>
  );
}

function Picture({
  site,
  photo,
  name,
}: {
  readonly site: string;
  readonly photo: Fact<'photo'>;
  readonly name: string;
}) {
  const [address, setAddress] = useState<string | null>(null);
  const [gone, setGone] = useState(false);
  useEffect(() => {
    let shown: string | null = null;
    void photoAddress(site, photo.body.image).then((found) => {
      shown = found;
      setAddress(found);
    });
    return () => {
      if (shown?.startsWith('blob:')) URL.revokeObjectURL(shown);
    };
  }, [site, photo.body.image]);
  if (gone)
    return <p className="border border-rule p-2 text-[13px] text-ink2">{msg('pole.thePhotoHasNotArrivedFromThe')}</p>;
  if (!address) return null;
  return (
    <a href={address} target="_blank" rel="noreferrer">
      <img
        src={address}
        alt={photo.body.caption || msg('pole.photoOf', { name })}
        className="h-28 w-40 border border-ink object-cover"
        onError={() => setGone(true)}
      />
    </a>
  );
}
