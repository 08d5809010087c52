import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useQuery } from '@tanstack/react-query';
import { useEffect, useState } from 'react';
import { api, ask, done, keepToken } from '../api/client';
import { Doorway } from '../settings/Doorway';
import { Waiting } from '../ui/Page';
import { ReportForm } from './ReportForm';
import { words } from './words';

/** What the second code on a kit's label leads to: item names, and nothing else. */
export default function OpenReportPage({ token }: { token: string }) {
    const [sent, setSent] = useState(0);
    const [isThanked, setThanked] = useState(false);
    const { data: items, error } = useQuery({
        queryKey: ['open-report', token],
        queryFn: () => ask(api.GET('/reports/{token}', { params: { path: { token } } })),
        staleTime: Infinity,
    });
    useEffect(() => {
        document.title = words.whatWasUsed;
    }, []);
    if (!items) {
        return <Waiting error={error} />;
    }
    if (isThanked) {
        return (
            <Doorway title={words.thankYou} about={words.thankYouAbout}>
                <Button onClick={() => setThanked(false)} sx={{ justifySelf: 'start' }}>
                    {words.reportMore}
                </Button>
            </Doorway>
        );
    }
    return (
        <Doorway title={words.whatWasUsed} about={items.length === 0 ? words.nothingHere : words.pressOnce}>
            {items.length > 0 && (
                <>
                    <ReportForm
                        key={sent}
                        items={items}
                        send={async (id, used) => {
                            // Whoever sends this has no session to hold a token: any will do, from this page.
                            keepToken('report');
                            await done(
                                api.PUT('/reports/{token}/{id}', {
                                    params: { path: { token, id } },
                                    body: { items: used },
                                }),
                            );
                        }}
                        onSent={() => {
                            setSent(sent + 1);
                            setThanked(true);
                        }}
                    />
                    <Typography variant="body2" sx={{ color: 'text.secondary' }}>
                        {words.nothingElse}
                    </Typography>
                </>
            )}
        </Doorway>
    );
}
