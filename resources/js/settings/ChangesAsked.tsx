import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import type { Schemas } from '../api/client';
import { count } from '../ui/words';
import { words } from './words';

type Organisation = Schemas['OrganisationResource'];

/** What another zone, currency, unit or time of retention does to what is there, one sentence each. */
export function consequences(
    was: Organisation,
    to: Omit<Schemas['OrganisationSettings'], 'name' | 'factor_required'>,
): string[] {
    const said: string[] = [];
    if (to.time_zone !== was.time_zone) {
        said.push(words.zoneDoes(count(was.kits, 'kit'), was.time_zone, to.time_zone ?? ''));
    }
    if (to.currency !== was.currency) {
        said.push(words.currencyDoes(count(was.priced_items, 'item has', 'items have'), was.currency, to.currency));
        if (was.priced_receipts > 0) {
            said.push(words.receiptsStay(count(was.priced_receipts, 'receipt')));
        }
    }
    if (to.length_unit !== was.length_unit || to.mass_unit !== was.mass_unit || to.volume_unit !== was.volume_unit) {
        said.push(words.unitsDo);
    }
    if (to.people_kept_days >= 0 && to.people_kept_days < was.people_kept_days) {
        said.push(words.retentionDoes(to.people_kept_days));
    }
    return said;
}

interface ChangesAskedProps {
    said: string[];
    onSave: () => void;
    onClose: () => void;
}

/** Says what follows before it is saved. */
export function ChangesAsked({ said, onSave, onClose }: ChangesAskedProps) {
    return (
        <Dialog open onClose={onClose} aria-labelledby="consequences" fullWidth maxWidth="sm">
            <DialogTitle id="consequences">{words.whatItDoes}</DialogTitle>
            <DialogContent>
                <ul>
                    {said.map((one) => (
                        <li key={one}>{one}</li>
                    ))}
                </ul>
            </DialogContent>
            <DialogActions>
                <Button onClick={onClose}>{words.cancel}</Button>
                <Button variant="contained" onClick={onSave}>
                    {words.save}
                </Button>
            </DialogActions>
        </Dialog>
    );
}
