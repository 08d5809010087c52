<?php

declare(strict_types=1);

namespace App\Accounts\Http;

use App\Accounts\AcceptLink;
use App\Accounts\AccountLinks;
use App\Accounts\Mail\LinkMail;
use App\Accounts\Models\Organisation;
use App\Accounts\Models\User;
use App\Accounts\SecurityLog;
use App\Support\Http\Controller;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Mail;
use Illuminate\Support\Str;
use OpenApi\Attributes as OA;

/** What somebody without an account, or without their password, does by a link. */
final class LinkController extends Controller
{
    #[OA\Get(path: '/links/{secret}', operationId: 'readLink', tags: ['accounts'])]
    #[OA\Parameter(name: 'secret', in: 'path', required: true, schema: new OA\Schema(type: 'string'))]
    #[OA\Response(response: 200, description: 'Who it is for', content: new OA\JsonContent(ref: LinkResource::class))]
    #[OA\Response(response: 404, description: 'It was used, withdrawn or has ended')]
    public function show(string $secret, AccountLinks $links, Organisation $organisation): JsonResponse
    {
        $link = $links->find($secret, now()) ?? abort(404, self::gone());
        $user = $link->userId === null ? null : User::query()->findOrFail($link->userId);

        return $this->json(new LinkResource($link->kind, $organisation->name, $user->name ?? (string) $link->name,
            $user->email ?? (string) $link->email, $link->role));
    }

    #[OA\Post(path: '/links/{secret}', operationId: 'useLink', tags: ['accounts'])]
    #[OA\Parameter(name: 'secret', in: 'path', required: true, schema: new OA\Schema(type: 'string'))]
    #[OA\RequestBody(required: true, content: new OA\JsonContent(ref: UsedLink::class))]
    #[OA\Response(response: 200, description: 'The account is there, or its password is set', content: new OA\JsonContent(ref: LinkResource::class))]
    #[OA\Response(response: 404, description: 'It was used, withdrawn or has ended')]
    #[OA\Response(response: 422, description: 'Not accepted as entered')]
    public function use(
        UsedLink $request,
        string $secret,
        AccountLinks $links,
        AcceptLink $accept,
        Organisation $organisation,
        SecurityLog $log,
    ): JsonResponse {
        $link = $links->find($secret, now()) ?? abort(404, self::gone());
        $user = $accept($secret, $request->string('name')->trim()->value(), $request->string('password')->value(), now()) ?? abort(404, self::gone());
        $log->write($link->kind === 'password' ? 'password set by a link' : 'account made', $user, ['from' => (string) $request->ip()]);

        return $this->json(new LinkResource($link->kind, $organisation->name, $user->name, $user->email, $user->role->value));
    }

    #[OA\Post(path: '/password-links', operationId: 'askForPassword', tags: ['accounts'],
        description: 'Answers alike, whether there is such an account or not.')]
    #[OA\RequestBody(required: true, content: new OA\JsonContent(required: ['email'], properties: [new OA\Property(property: 'email',
        type: 'string')]))]
    #[OA\Response(response: 204, description: 'If there is such an account, a link is on its way')]
    #[OA\Response(response: 422, description: 'Not accepted as entered')]
    public function password(Request $request, AccountLinks $links, Organisation $organisation, SecurityLog $log): JsonResponse
    {
        $request->validate(['email' => ['required', 'string', 'email', 'max:190']], ['email.*' => 'Enter your email address.']);
        $user = User::query()->where('email', Str::lower($request->string('email')->trim()->value()))->where('deactivated_on', null)->first();
        if ($user !== null) {
            $secret = $links->forPassword($user, null, now());
            $log->write('password link asked for', null, ['of' => $user->id, 'from' => (string) $request->ip()]);
            Mail::to($user->email)->queue(new LinkMail(
                'password', $organisation->name, $user->name, AccountLinks::address($secret), $links->says(now()
                    ->addHours(AccountLinks::PASSWORD_HOURS)),
            ));
        }

        return new JsonResponse(null, 204);
    }

    private static function gone(): string
    {
        return 'This link was used, withdrawn, or has ended. Ask a lead for a new one.';
    }
}
