<?php

declare(strict_types=1);

namespace App\Accounts\Http;

use App\Accounts\Models\Organisation;
use App\Accounts\SecondFactor;
use App\Accounts\SignInGuard;
use App\Accounts\StrongPassword;
use App\Accounts\Totp;
use App\Accounts\UserSessions;
use App\Support\Http\Controller;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Hash;
use Illuminate\Validation\ValidationException;
use OpenApi\Attributes as OA;

/** What somebody does with their own account. */
final class OwnAccountController extends Controller
{
    private const SECRET = 'factor.begun';

    public function __construct(
        private readonly UserSessions $sessions,
        private readonly SecondFactor $factor,
        private readonly Organisation $organisation,
        private readonly SignInGuard $guard,
    ) {
    }

    #[OA\Get(path: '/account', operationId: 'readOwnAccount', tags: ['account'])]
    #[OA\Response(response: 200, description: 'One\'s own account', content: new OA\JsonContent(ref: OwnAccount::class))]
    public function show(Request $request): JsonResponse
    {
        return $this->own($request);
    }

    #[OA\Put(path: '/account/password', operationId: 'changePassword', tags: ['account'], description: 'All other sessions end.')]
    #[OA\RequestBody(required: true, content: new OA\JsonContent(required: ['current', 'password'], properties: [
        new OA\Property(property: 'current', type: 'string'),
        new OA\Property(property: 'password', type: 'string'),
    ]))]
    #[OA\Response(response: 200, description: 'One\'s own account', content: new OA\JsonContent(ref: OwnAccount::class))]
    #[OA\Response(response: 422, description: 'Not accepted as entered')]
    public function password(Request $request): JsonResponse
    {
        $user = $this->user($request);
        $request->validate([
            'current' => ['required', 'string', 'max:200'],
            'password' => ['required', 'string', new StrongPassword([$user->name, $user->email, $this->organisation->name])],
        ], ['current.*' => 'Enter the password that you have now.', 'password.required' => 'Choose a password.']);
        $this->refuseWrongPassword($request, 'current');
        $user->forceFill(['password' => $request->string('password')->value()])->save();
        $this->sessions->endAll($user, $request->session()->getId());

        return $this->own($request);
    }

    #[OA\Delete(path: '/account/sessions/{id}', operationId: 'endSession', tags: ['account'])]
    #[OA\Parameter(name: 'id', in: 'path', required: true, schema: new OA\Schema(type: 'string'), description: 'or "others": all but this one')]
    #[OA\Response(response: 200, description: 'One\'s own account', content: new OA\JsonContent(ref: OwnAccount::class))]
    public function endSession(Request $request, string $id): JsonResponse
    {
        $id === 'others' ? $this->sessions->endAll($this->user($request), $request->session()->getId())
            : $this->sessions->end($this->user($request), $id);

        return $this->own($request);
    }

    #[OA\Post(path: '/account/factor', operationId: 'beginFactor', tags: ['account'],
        description: 'A secret for an authenticator app; nothing changes yet.')]
    #[OA\Response(response: 200, description: 'The secret', content: new OA\JsonContent(ref: FactorBegun::class))]
    public function beginFactor(Request $request): JsonResponse
    {
        $secret = $request->session()->get(self::SECRET);
        $secret = is_string($secret) ? $secret : Totp::newSecret();
        $request->session()->put(self::SECRET, $secret);

        return $this->json(new FactorBegun($secret, Totp::address($secret, $this->user($request)->email, $this->organisation->name)));
    }

    #[OA\Put(path: '/account/factor', operationId: 'setUpFactor', tags: ['account'])]
    #[OA\RequestBody(required: true, content: new OA\JsonContent(required: ['code'], properties: [
        new OA\Property(property: 'code', type: 'string'),
        new OA\Property(property: 'password', type: 'string', description: 'where another one is on'),
        new OA\Property(property: 'old_code', type: 'string', description: 'of the one that is on, or a recovery code'),
    ]))]
    #[OA\Response(response: 200, description: 'With recovery codes, shown this once', content: new OA\JsonContent(ref: OwnAccount::class))]
    #[OA\Response(response: 422, description: 'Not accepted as entered')]
    public function setUpFactor(Request $request): JsonResponse
    {
        $request->validate(['code' => ['required', 'string', 'max:20']], ['code.*' => 'Type the six figures that the app shows.']);
        $secret = $request->session()->get(self::SECRET);
        // The new code first: a recovery code is not used up by a new one that was mistyped.
        $isCode = is_string($secret) && SecondFactor::isCodeOf($secret, $request->string('code')->value(), now());
        if ($isCode && SecondFactor::isSetUp($this->user($request))) {
            $this->refuseWrongFactor($request);
        }
        $codes = is_string($secret) ? $this->factor->setUp($this->user($request), $secret, $request->string('code')->value(), now()) : null;
        if ($codes === null) {
            throw ValidationException::withMessages([
                'code' => 'This is not the code that the app shows now. Wait for the next one; if it stays wrong, set the clock of the phone.',
            ]);
        }
        $request->session()->forget(self::SECRET);
        $this->sessions->endAll($this->user($request), $request->session()->getId());

        return $this->own($request, $codes);
    }

    #[OA\Delete(path: '/account/factor', operationId: 'removeFactor', tags: ['account'])]
    #[OA\RequestBody(required: true, content: new OA\JsonContent(required: ['password', 'old_code'], properties: [
        new OA\Property(property: 'password', type: 'string'),
        new OA\Property(property: 'old_code', type: 'string', description: 'that the app shows now, or a recovery code'),
    ]))]
    #[OA\Response(response: 200, description: 'One\'s own account', content: new OA\JsonContent(ref: OwnAccount::class))]
    #[OA\Response(response: 422, description: 'Not accepted as entered')]
    public function removeFactor(Request $request): JsonResponse
    {
        $this->refuseWrongFactor($request);
        $this->factor->remove($this->user($request));

        return $this->own($request);
    }

    /** @throws ValidationException where it is not the password that the person has now */
    private function refuseWrongPassword(Request $request, string $field): void
    {
        $user = $this->user($request);
        $password = $request->string($field)->value();
        if (! $this->guard->confirms($user, static fn (): bool => Hash::check($password, $user->password), (string) $request->ip())) {
            throw ValidationException::withMessages([$field => 'This is not your password. Check it, and whether the capitals key is on.']);
        }
    }

    /** Keeps somebody at an unlocked screen from removing or replacing the second factor of its owner. */
    private function refuseWrongFactor(Request $request): void
    {
        $request->validate(
            ['password' => ['required', 'string', 'max:200'], 'old_code' => ['required', 'string', 'max:40']],
            ['password.*' => 'Enter your password.', 'old_code.*' => 'Type the six figures that the app shows now, or a recovery code.'],
        );
        $this->refuseWrongPassword($request, 'password');
        $accepts = fn (): bool => $this->factor->accepts($this->user($request), $request->string('old_code')->value(), now());
        if (SecondFactor::isSetUp($this->user($request)) && ! $this->guard->confirms($this->user($request), $accepts, (string) $request->ip())) {
            throw ValidationException::withMessages([
                'old_code' => 'This is neither the code that the app shows now nor a recovery code that is left. '.
                    'A code works once: wait for the next.',
            ]);
        }
    }

    /** @param  list<string>|null  $codes */
    private function own(Request $request, ?array $codes = null): JsonResponse
    {
        $user = $this->user($request)->refresh();

        return $this->json(new OwnAccount(
            $user->name, $user->email, SecondFactor::isSetUp($user), $this->organisation->factor_required, SecondFactor::codesLeft($user),
            $this->sessions->of($user, $request->session()->getId()), $codes,
        ));
    }
}
