import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { useQuery } from '@tanstack/react-query';
import { questions } from '../api/queries';
import { Empty, Page, Sheet, Waiting } from '../ui/Page';
import { sayInstant } from '../ui/words';
import { useSession } from '../session/useSession';
import { words } from './words';

/** What would have gone to a mail server, to be read and handed over. */
export default function MailPage() {
    const { data, error } = useQuery(questions.mail());
    const { timeZone } = useSession();
    if (!data) {
        return <Waiting error={error} />;
    }
    return (
        <Page
            title={words.mailTray}
            above={
                <Typography sx={{ color: 'text.secondary' }}>
                    {data.is_used ? words.mailTrayAbout : words.mailServerAbout}
                </Typography>
            }
        >
            <Box sx={{ maxWidth: 820 }}>
                {data.messages.length === 0 && (
                    <Sheet title={words.noMail}>
                        <Empty>{words.noMailAbout}</Empty>
                    </Sheet>
                )}
                {data.messages.map((one) => (
                    <Sheet key={one.id} title={one.subject}>
                        <Typography variant="body2" sx={{ color: 'text.secondary', mb: 2 }}>
                            {words.mailTo(one.recipient, sayInstant(one.sent_at, timeZone))}
                        </Typography>
                        <Box sx={{ whiteSpace: 'pre-wrap', overflowWrap: 'anywhere' }}>{one.body}</Box>
                    </Sheet>
                ))}
            </Box>
        </Page>
    );
}
