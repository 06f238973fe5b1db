import { DataTable } from './DataTable';
import Alert from '@mui/material/Alert';
import Button from '@mui/material/Button';

/** What differs, each with both values in words. */
type Rows = readonly { readonly name: string; readonly mine: string; readonly theirs: string }[];

interface Props {
  readonly rows: Rows;
  readonly onKeepMine: () => void;
}

/** Two people changed the same thing: both values, and the choice. */
export function ConflictNotice({ rows, onKeepMine }: Props) {
  return (
    <Alert severity="warning" variant="outlined" sx={{ mb: 2 }}>
      <p>
        <b>Somebody else saved this while you were writing.</b> Nothing of either is lost.
      </p>
      <BothValues rows={rows} mine="yours" theirs="theirs" />
      <Button size="small" onClick={onKeepMine} sx={{ mr: 1, mt: 1 }}>
        Save mine over theirs
      </Button>
      <Button size="small" sx={{ mt: 1 }} onClick={() => window.location.reload()}>
        Show theirs
      </Button>
    </Alert>
  );
}

/** What two people said, side by side, under the words that tell whose it is. */
export function BothValues({ rows, mine, theirs }: { rows: Rows; mine: string; theirs: string }) {
  return (
    <DataTable
      label="What differs"
      columns={[{ name: '' }, { name: mine }, { name: theirs }]}
      rows={rows.map((row) => ({
        key: row.name,
        cells: [<b key="name">{row.name}</b>, row.mine, row.theirs],
      }))}
    />
  );
}
