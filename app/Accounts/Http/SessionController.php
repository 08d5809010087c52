<?php

declare(strict_types=1);

namespace App\Accounts\Http;

use App\Accounts\Models\Organisation;
use App\Accounts\Models\User;
use App\Accounts\SecondFactor;
use App\Accounts\SecurityLog;
use App\Accounts\SignInGuard;
use App\Kits\Models\Kit;
use App\Ledger\Head;
use App\Support\Http\Controller;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\Gate;
use Illuminate\Validation\ValidationException;
use OpenApi\Attributes as OA;

final class SessionController extends Controller
{
    #[OA\Get(path: '/session', operationId: 'readSession', tags: ['session'])]
    #[OA\Response(response: 200, description: 'Who is signed in, or nobody', content: new OA\JsonContent(ref: SessionResource::class))]
    public function show(Request $request): JsonResponse
    {
        return $this->json($this->session($request));
    }

    #[OA\Post(path: '/session', operationId: 'signIn', tags: ['session'])]
    #[OA\RequestBody(required: true, content: new OA\JsonContent(ref: SignIn::class))]
    #[OA\Response(response: 200, description: 'Signed in', content: new OA\JsonContent(ref: SessionResource::class))]
    #[OA\Response(response: 422, description: 'Wrong name or password')]
    public function store(SignIn $request, SecondFactor $factor, SignInGuard $guard): JsonResponse
    {
        $email = $request->string('email')->trim()->value();
        $user = $guard->user($email, $request->string('password')->value(), (string) $request->ip());
        if ($user === null) {
            throw ValidationException::withMessages([
                'email' => 'This email address and password do not belong together. Check both, and whether the capitals key is on.',
            ]);
        }
        if (SecondFactor::isSetUp($user)) {
            $code = $request->string('code')->trim()->value();
            if ($code === '' || ! $factor->accepts($user, $code, now())) {
                if ($code !== '') {
                    $guard->failed("sign-in:{$user->id}", $email, (string) $request->ip());
                }
                throw ValidationException::withMessages(['code' => $code === ''
                    ? 'Type the six figures that your authenticator app shows, or a recovery code.'
                    : 'This code is not good: wait for the next one, or use a recovery code that was not used yet.']);
            }
        }
        Auth::login($user);
        $request->session()->regenerate();
        $request->session()->put(ActiveAccount::SINCE, now()->getTimestamp());
        $guard->succeeded($user, (string) $request->ip());
        $user->forceFill(['signed_in_at' => now()->utc()->format('Y-m-d H:i:s')])->save();

        return $this->json($this->session($request));
    }

    #[OA\Delete(path: '/session', operationId: 'signOut', tags: ['session'])]
    #[OA\Response(response: 200, description: 'Signed out', content: new OA\JsonContent(ref: SessionResource::class))]
    public function destroy(Request $request, SecurityLog $log): JsonResponse
    {
        $user = Auth::user();
        $user instanceof User ? $log->write('signed out', $user) : null;
        Auth::logout();
        $request->session()->invalidate();
        $request->session()->regenerateToken();

        return $this->json($this->session($request));
    }

    private function session(Request $request): SessionResource
    {
        $organisation = Organisation::query()->first();
        $user = Auth::user();
        $user = $user instanceof User && $user->isActive() ? $user : null;

        return new SessionResource(
            $user === null ? null : new UserResource(
                $user->id, $user->name, $user->email, $user->role->value, self::may($user),
                $organisation?->factor_required === true && ! SecondFactor::isSetUp($user),
            ),
            (string) $request->session()->token(),
            $organisation->name ?? '',
            $organisation->time_zone ?? 'UTC',
            $organisation?->today() ?? now()->toDateString(),
            $organisation === null,
            $user === null ? '' : Head::record(),
        );
    }

    /** @return list<string> what the page offers to this person; the server decides again on each request */
    private static function may(User $user): array
    {
        return array_values(array_filter(
            ['check', 'restock', 'export', 'equip', 'plan', 'report'],
            static fn (string $ability): bool => Gate::forUser($user)->allows($ability, Kit::class),
        ));
    }
}
