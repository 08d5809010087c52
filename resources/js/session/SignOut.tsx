import ButtonBase from '@mui/material/ButtonBase';
import { useMutation } from '@tanstack/react-query';
import { lazy, Suspense, useState } from 'react';
import { device } from '../offline/device';
import { Icon } from '../ui/Icon';
import { Trouble } from '../ui/Page';
import { useSignOut } from './useSession';
import { words } from './words';

const UnsentDialog = lazy(() => import('./UnsentDialog'));

/** Signs out; asks first where something on this device is not sent. */
export function SignOut() {
    const signOut = useMutation({ mutationFn: useSignOut() });
    const [isAsked, setAsked] = useState(false);
    return (
        <>
            <ButtonBase
                onClick={() => (device.unsent().length > 0 ? setAsked(true) : signOut.mutate())}
                sx={{ gap: 2, px: 3, minHeight: 44, borderRadius: '6px', fontWeight: 600, color: 'primary.main' }}
            >
                <Icon name="out" size={18} />
                {words.signOut2}
            </ButtonBase>
            {signOut.error && !isAsked && <Trouble error={signOut.error} />}
            {isAsked && (
                <Suspense>
                    <UnsentDialog
                        onLeave={() => signOut.mutate()}
                        onStay={() => setAsked(false)}
                        error={signOut.error}
                        isLeaving={signOut.isPending}
                    />
                </Suspense>
            )}
        </>
    );
}
