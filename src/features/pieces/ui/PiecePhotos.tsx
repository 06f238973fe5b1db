'use client';
import type { PiecePage, StoredPhoto } from '@/records/pieces';
import { FormErrors } from '@/ui/kit';
import { Photo } from '@/ui/Photo';
import { Silhouette, type SilhouetteProps } from '@/ui/silhouette';
import { useUndo } from '@/ui/Undo';
import { useMutation } from '@/ui/useMutation';
import { setPhotoRemoved } from '../actions';
import { PhotoTools } from './PhotoTools';
import css from './piece.module.css';

interface Props {
  readonly piece: Pick<
    PiecePage,
    'label' | 'form' | 'areas' | 'photos' | 'photoHash' | 'isDescribed' | 'firings'
  >;
  readonly drawing: Omit<SilhouetteProps, 'size'>;
  readonly mayChange: boolean;
  /** Whether photos may be removed and moved to other pieces. */
  readonly mayRemove: boolean;
}

/** The photos of a piece, the one that is shown first large, beside its drawing. */
export function PiecePhotos({ piece, drawing, mayChange, mayRemove }: Props) {
  const { run, errors } = useMutation();
  const { offer, bar } = useUndo();
  const isShown = ({ hash }: StoredPhoto) => hash === piece.photoHash;
  const photos = [...piece.photos].sort((one, other) => Number(isShown(other)) - Number(isShown(one)));
  const [first, ...rest] = photos;
  const remove = async (id: string) => {
    const set = (isRemoved: boolean) => run(() => setPhotoRemoved({ id, isRemoved }));
    if ((await set(true)) !== undefined) offer('Photo removed', () => void set(false));
  };
  const toolsOf = (photo: StoredPhoto) =>
    mayChange && (
      <PhotoTools
        photo={photo}
        piece={piece}
        isShown={photo === first}
        onRemove={mayRemove ? () => void remove(photo.id) : null}
      />
    );
  return (
    <>
      <div className={css.pictures}>
        {first && (
          <Photo hash={first.hash} alt={`Photo of ${piece.label}`} width="100%" height={420} drawn={first} />
        )}
        <div className={css.drawing}>
          {piece.isDescribed && <Silhouette {...drawing} size={first ? 170 : 300} strip />}
        </div>
      </div>
      {first && toolsOf(first)}
      {rest.length > 0 && (
        <ul className={css.more}>
          {rest.map((photo) => (
            <li key={photo.id}>
              <Photo
                hash={photo.hash}
                alt={`Another photo of ${piece.label}`}
                width={96}
                height={110}
                drawn={photo}
              />
              {toolsOf(photo)}
            </li>
          ))}
        </ul>
      )}
      <FormErrors errors={errors} />
      {bar}
    </>
  );
}
