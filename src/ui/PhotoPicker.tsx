'use client';
import Button from '@mui/material/Button';

/** A button that hands over pictures: from the camera at once, or from the files of the device. */
export function PhotoPicker({
  label,
  camera,
  onPick,
}: {
  label: string;
  camera?: boolean;
  onPick: (files: readonly File[]) => unknown;
}) {
  return (
    <Button component="label" variant={camera ? 'contained' : 'outlined'}>
      {label}
      <input
        type="file"
        accept="image/*"
        hidden
        multiple={!camera}
        {...(camera && { capture: 'environment' as const })}
        aria-label={camera ? 'Photo file' : 'Photo files'}
        onChange={(event) => {
          const files = [...(event.target.files ?? [])];
          event.target.value = '';
          if (files.length) onPick(files);
        }}
      />
    </Button>
  );
}
