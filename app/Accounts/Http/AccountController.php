<?php

declare(strict_types=1);

namespace App\Accounts\Http;

use App\Accounts\AccountLinks;
use App\Accounts\ChangeAccount;
use App\Accounts\Mail\LinkMail;
use App\Accounts\Models\Organisation;
use App\Accounts\Models\User;
use App\Accounts\ReadAccounts;
use App\Accounts\Role;
use App\Support\Http\Controller;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Mail;
use Illuminate\Support\Str;
use OpenApi\Attributes as OA;

/** Who signs in, and what they may do. */
final class AccountController extends Controller
{
    #[OA\Get(path: '/choices/accounts', operationId: 'readAccountChoices', tags: ['accounts'])]
    #[OA\Response(
        response: 200,
        description: 'Who may be given work on kits',
        content: new OA\JsonContent(type: 'array', items: new OA\Items(ref: AccountChoice::class)),
    )]
    public function choices(ReadAccounts $accounts): JsonResponse
    {
        return $this->json($accounts->choices());
    }

    #[OA\Get(path: '/accounts', operationId: 'readAccounts', tags: ['accounts'])]
    #[OA\Response(response: 200, description: 'All accounts and open invitations', content: new OA\JsonContent(ref: AccountsResource::class))]
    public function all(ReadAccounts $accounts): JsonResponse
    {
        return $this->json($accounts->all());
    }

    #[OA\Post(path: '/accounts/invitations', operationId: 'invite', tags: ['accounts'], description: 'A link that works once, for seven days.')]
    #[OA\RequestBody(required: true, content: new OA\JsonContent(ref: NewInvitation::class))]
    #[OA\Response(response: 201, description: 'With the link, which is shown this once', content: new OA\JsonContent(ref: AccountsResource::class))]
    #[OA\Response(response: 422, description: 'Not accepted as entered')]
    public function invite(NewInvitation $request, AccountLinks $links, ReadAccounts $accounts, Organisation $organisation): JsonResponse
    {
        $name = $request->string('name')->trim()->value();
        $email = Str::lower($request->string('email')->trim()->value());
        $secret = $links->invite($name, $email, Role::from($request->string('role')->value()), $this->user($request), now());
        $link = AccountLinks::address($secret);
        if ($request->boolean('by_mail')) {
            $until = $links->says(now()->addDays(AccountLinks::INVITATION_DAYS));
            Mail::to($email)->queue(new LinkMail('invitation', $organisation->name, $name, $link, $until));
        }

        return $this->json($accounts->all($link), 201);
    }

    #[OA\Delete(path: '/accounts/invitations/{id}', operationId: 'withdrawInvitation', tags: ['accounts'])]
    #[OA\Parameter(name: 'id', in: 'path', required: true, schema: new OA\Schema(type: 'string'))]
    #[OA\Response(response: 200, description: 'All accounts and open invitations', content: new OA\JsonContent(ref: AccountsResource::class))]
    public function withdraw(string $id, AccountLinks $links, ReadAccounts $accounts): JsonResponse
    {
        $links->withdraw(Str::lower($id), now());

        return $this->json($accounts->all());
    }

    #[OA\Put(path: '/accounts/{account}', operationId: 'changeAccount', tags: ['accounts'],
        description: 'Its name and role; with another role its sessions end.')]
    #[OA\Parameter(name: 'account', in: 'path', required: true, schema: new OA\Schema(type: 'string'))]
    #[OA\RequestBody(required: true, content: new OA\JsonContent(ref: ChangedAccount::class))]
    #[OA\Response(response: 200, description: 'All accounts', content: new OA\JsonContent(ref: AccountsResource::class))]
    #[OA\Response(response: 422, description: 'Not accepted as entered')]
    public function change(ChangedAccount $request, User $account, ChangeAccount $change, ReadAccounts $accounts): JsonResponse
    {
        $change->describe($account, $request->string('name')->trim()->value(), Role::from($request->string('role')->value()));

        return $this->json($accounts->all());
    }

    #[OA\Put(
        path: '/accounts/{account}/deactivation',
        operationId: 'deactivateAccount',
        tags: ['accounts'],
        description: 'Ends it: records keep the name, kits and open tasks go to somebody else.',
    )]
    #[OA\Parameter(name: 'account', in: 'path', required: true, schema: new OA\Schema(type: 'string'))]
    #[OA\RequestBody(required: true, content: new OA\JsonContent(required: ['hand_over_to'], properties: [
        new OA\Property(property: 'hand_over_to', type: 'string', nullable: true),
    ]))]
    #[OA\Response(response: 200, description: 'All accounts', content: new OA\JsonContent(ref: AccountsResource::class))]
    #[OA\Response(response: 422, description: 'Not accepted as entered')]
    public function deactivate(Request $request, User $account, ChangeAccount $change, ReadAccounts $accounts): JsonResponse
    {
        $to = $request->validate(
            ['hand_over_to' => ['bail', 'present', 'nullable', 'string', 'exists:users,id']],
            ['hand_over_to.*' => 'Choose who takes it over, or nobody.'],
        )['hand_over_to'];
        $change->deactivate($account, is_string($to) ? Str::lower($to) : null, $this->today());

        return $this->json($accounts->all());
    }

    #[OA\Put(path: '/accounts/{account}/activation', operationId: 'activateAccount', tags: ['accounts'])]
    #[OA\Parameter(name: 'account', in: 'path', required: true, schema: new OA\Schema(type: 'string'))]
    #[OA\Response(response: 200, description: 'All accounts', content: new OA\JsonContent(ref: AccountsResource::class))]
    public function activate(User $account, ChangeAccount $change, ReadAccounts $accounts): JsonResponse
    {
        $change->activate($account);

        return $this->json($accounts->all());
    }

    #[OA\Delete(path: '/accounts/{account}/factor', operationId: 'removeFactorOf', tags: ['accounts'],
        description: 'For who lost their app and codes.')]
    #[OA\Parameter(name: 'account', in: 'path', required: true, schema: new OA\Schema(type: 'string'))]
    #[OA\Response(response: 200, description: 'All accounts', content: new OA\JsonContent(ref: AccountsResource::class))]
    public function removeFactor(User $account, ChangeAccount $change, ReadAccounts $accounts): JsonResponse
    {
        $change->removeFactor($account);

        return $this->json($accounts->all());
    }

    #[OA\Get(path: '/mail', operationId: 'readMailTray', tags: ['accounts'])]
    #[OA\Response(response: 200, description: 'What would have gone to a mail server, newest first',
        content: new OA\JsonContent(ref: MailTray::class))]
    public function mail(): JsonResponse
    {
        $rows = DB::table('mail_tray')->orderByDesc('id')->limit(50)->get();

        return $this->json(new MailTray(config()->string('mail.default') === 'tray',
            array_values($rows->map(static fn (\stdClass $row): MailMessage => new MailMessage(
                (int) $row->id, $row->recipient, $row->subject, $row->body, "{$row->sent_at}Z",
            ))->all())));
    }
}
