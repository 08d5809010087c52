import { keepPreviousData, useQuery } from '@tanstack/react-query';
import Typography from '@mui/material/Typography';
import { questions } from '../api/queries';
import { KitLine } from '../pack/KitLine';
import { Pager, ShowOnly } from '../ui/Listing';
import { Empty, Page, Sheet, Waiting } from '../ui/Page';
import { useListing } from '../ui/useListing';
import { count } from '../ui/words';
import { words } from './words';

/** From which kit something was taken. */
export default function UseListPage() {
    const listing = useListing(['q']);
    const { data, error } = useQuery({
        ...questions.kits(listing.asked, listing.page),
        placeholderData: keepPreviousData,
    });
    if (!data) {
        return <Waiting error={error} />;
    }
    return (
        <Page title={words.use} beside={<ShowOnly listing={listing} />}>
            <Sheet title={words.whichKit}>
                <Typography sx={{ color: 'text.secondary', mb: 2 }}>{words.whichKitAbout}</Typography>
                {data.kits.length === 0 && <Empty>{listing.isAll ? words.noKit : words.noKitMatches}</Empty>}
                {data.kits.map((kit) => (
                    <KitLine key={kit.code} kit={kit} job="use" isPlaced />
                ))}
                <Pager page={data.page} listing={listing} things={count(data.page.in_all, 'kit')} />
            </Sheet>
        </Page>
    );
}
