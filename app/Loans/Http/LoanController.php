<?php

declare(strict_types=1);

namespace App\Loans\Http;

use App\Loans\KeepLoans;
use App\Loans\Models\Loan;
use App\Loans\ReadLoans;
use App\Support\Http\Controller;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Str;
use Illuminate\Validation\ValidationException;
use OpenApi\Attributes as OA;

/** What is lent and borrowed. */
final class LoanController extends Controller
{
    #[OA\Get(path: '/loans', operationId: 'readLoans', tags: ['stores'])]
    #[OA\Parameter(name: 'store', in: 'query', required: false, schema: new OA\Schema(type: 'string'))]
    #[OA\Parameter(name: 'near', in: 'query', required: false, schema: new OA\Schema(type: 'string', enum: ['yes']))]
    #[OA\Response(
        response: 200,
        description: 'What has not come back; `near`: what is to come back within a week, or should have',
        content: new OA\JsonContent(type: 'array', items: new OA\Items(ref: LoanResource::class)),
    )]
    public function all(Request $request, ReadLoans $loans): JsonResponse
    {
        /** @var array{store?: string, near?: string} $query */
        $query = $request->validate(['store' => ['string', 'max:26'], 'near' => ['in:yes']]);

        return $this->json(isset($query['near']) ? $loans->near($this->today()) : $loans->open($query['store'] ?? null, $this->today()));
    }

    #[OA\Put(path: '/loans/{loan}/returns/{id}', operationId: 'returnLoan', tags: ['stores'],
        description: 'The id is a ULID made by the page: sent twice, it counts once.')]
    #[OA\Parameter(name: 'loan', in: 'path', required: true, schema: new OA\Schema(type: 'string'))]
    #[OA\Parameter(name: 'id', in: 'path', required: true, schema: new OA\Schema(type: 'string'))]
    #[OA\RequestBody(required: true, content: new OA\JsonContent(ref: CameBack::class))]
    #[OA\Response(
        response: 200,
        description: 'What of the store has not come back',
        content: new OA\JsonContent(type: 'array', items: new OA\Items(ref: LoanResource::class)),
    )]
    #[OA\Response(response: 422, description: 'Not accepted as entered')]
    public function comeBack(CameBack $request, Loan $loan, string $id, KeepLoans $keep, ReadLoans $loans): JsonResponse
    {
        if (! Str::isUlid($id)) {
            throw ValidationException::withMessages(['id' => 'The id of what is recorded is a ULID.']);
        }
        if ($request->pieces() === [] && ! $request->boolean('final')) {
            throw ValidationException::withMessages(['rows' => 'Say how many came back.']);
        }
        $keep->comeBack(
            $loan, Str::lower($id), $request->pieces(), $request->boolean('final'), $request->string('note')->trim()->value() ?: null,
            $this->user($request), now(),
        );

        return $this->json($loans->open($loan->store_id, $this->today()));
    }

    #[OA\Put(path: '/loans/{loan}/day', operationId: 'prolongLoan', tags: ['stores'])]
    #[OA\Parameter(name: 'loan', in: 'path', required: true, schema: new OA\Schema(type: 'string'))]
    #[OA\RequestBody(required: true, content: new OA\JsonContent(required: ['due_on'], properties: [
        new OA\Property(property: 'due_on', type: 'string', format: 'date'),
    ]))]
    #[OA\Response(
        response: 200,
        description: 'What of the store has not come back',
        content: new OA\JsonContent(type: 'array', items: new OA\Items(ref: LoanResource::class)),
    )]
    #[OA\Response(response: 422, description: 'Not accepted as entered')]
    public function prolong(Request $request, Loan $loan, KeepLoans $keep, ReadLoans $loans): JsonResponse
    {
        $request->validate(
            ['due_on' => ['required', 'date_format:Y-m-d', 'after_or_equal:'.$this->today()]],
            ['due_on.*' => 'Say until when, as a day from today on.'],
        );
        $keep->prolong($loan, $request->string('due_on')->value(), $this->user($request), now());

        return $this->json($loans->open($loan->store_id, $this->today()));
    }
}
