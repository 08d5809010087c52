<?php

declare(strict_types=1);

namespace App\Accounts\Http;

use App\Accounts\ReadAccounts;
use App\Support\Http\Controller;
use Illuminate\Http\JsonResponse;
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
}
