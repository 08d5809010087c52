import { Page } from '../ui/Page';
import { ShiftsSheet } from './ShiftsSheet';
import { words } from './words';

/** The shifts by themselves, for who sets them up. */
export default function ShiftsPage() {
    return (
        <Page title={words.shifts}>
            <ShiftsSheet />
        </Page>
    );
}
