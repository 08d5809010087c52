import { keepPreviousData, useQuery } from '@tanstack/react-query';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { Link } from 'react-router';
import { questions } from '../api/queries';
import { KitLine } from '../pack/KitLine';
import { Pager, ShowOnly } from '../ui/Listing';
import { Empty, Page, Sheet, Waiting } from '../ui/Page';
import { useListing } from '../ui/useListing';
import { count } from '../ui/words';
import { words } from './words';

/** From which kit something was taken; or, at the end of a shift, which kits go back: each is asked what was used, and which tools are back. */
export default function UseListPage({ atEndOfShift = false }: { atEndOfShift?: boolean }) {
    const listing = useListing(['q']);
    const { data, error } = useQuery({
        ...questions.kits(listing.asked, listing.page),
        placeholderData: keepPreviousData,
    });
    if (!data) {
        return <Waiting error={error} />;
    }
    return (
        <Page
            title={atEndOfShift ? words.endOfShift : words.use}
            beside={
                <>
                    {!atEndOfShift && (
                        <Button component={Link} to="/shift-end">
                            {words.endOfShift}
                        </Button>
                    )}
                    <ShowOnly listing={listing} />
                </>
            }
        >
            <Sheet title={atEndOfShift ? words.whichKitsGoBack : words.whichKit}>
                <Typography sx={{ color: 'text.secondary', mb: 2 }}>
                    {atEndOfShift ? words.endOfShiftAbout : words.whichKitAbout}
                </Typography>
                {data.kits.length === 0 && <Empty>{listing.isAll ? words.noKit : words.noKitMatches}</Empty>}
                {data.kits.map((kit) => (
                    <KitLine key={kit.code} kit={kit} job={atEndOfShift ? 'hand_back' : 'use'} isPlaced />
                ))}
                <Pager page={data.page} listing={listing} things={count(data.page.in_all, 'kit')} />
            </Sheet>
        </Page>
    );
}
