<?php

declare(strict_types=1);

namespace App\Lists\Http;

use App\Designs\Models\Design;
use App\Kits\Models\Kit;
use App\Lists\CompareWithList;
use App\Lists\ConfirmList;
use App\Lists\ListContent;
use App\Lists\Models\KitList;
use App\Lists\NewEdition;
use App\Lists\ReadLists;
use App\Lists\ReadListTable;
use App\Lists\WriteList;
use App\Support\Http\Controller;
use App\Support\Listing\SheetResponse;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Gate;
use OpenApi\Attributes as OA;
use Symfony\Component\HttpFoundation\StreamedResponse;

/** The lists that kits are held to: their editions, their confirmation, and what a change of edition does. */
final class ListController extends Controller
{
    #[OA\Get(path: '/lists', operationId: 'readLists', tags: ['lists'])]
    #[OA\Parameter(ref: '#/components/parameters/page')]
    #[OA\Parameter(ref: '#/components/parameters/order')]
    #[OA\Parameter(ref: '#/components/parameters/q')]
    #[OA\Parameter(ref: '#/components/parameters/format')]
    #[OA\Parameter(name: 'sort', in: 'query', required: false, schema: new OA\Schema(type: 'string', enum: ['title', 'code', 'confirmed']))]
    #[OA\Parameter(name: 'group', in: 'query', required: false, schema: new OA\Schema(type: 'string', enum: ['starter', 'house', 'module']))]
    #[OA\Parameter(name: 'confirmed', in: 'query', required: false, schema: new OA\Schema(type: 'string', enum: ['yes', 'no']))]
    #[OA\Parameter(name: 'edition', in: 'query', required: false, schema: new OA\Schema(type: 'string', enum: ['latest']))]
    #[OA\Response(response: 200, description: 'Lists and editions', content: new OA\JsonContent(ref: ListsResource::class))]
    #[OA\Response(response: 422, description: 'Not a list that can be read')]
    public function all(ListListRequest $request, ReadListTable $lists): JsonResponse|StreamedResponse
    {
        if ($request->wantsSheet()) {
            Gate::authorize('export', Kit::class);

            return SheetResponse::of('lists', ReadListTable::headings(), $lists->sheet($request));
        }

        return $this->json($lists($request));
    }

    #[OA\Get(path: '/choices/lists', operationId: 'readListChoices', tags: ['lists'])]
    #[OA\Response(
        response: 200,
        description: 'All lists and editions by name, to choose from',
        content: new OA\JsonContent(type: 'array', items: new OA\Items(ref: ListChoice::class)),
    )]
    public function choices(ReadListTable $lists): JsonResponse
    {
        return $this->json($lists->choices());
    }

    #[OA\Get(path: '/lists/{list}', operationId: 'readList', tags: ['lists'])]
    #[OA\Parameter(name: 'list', in: 'path', required: true, schema: new OA\Schema(type: 'string'))]
    #[OA\Response(response: 200, description: 'One edition with its lines', content: new OA\JsonContent(ref: ListResource::class))]
    public function show(KitList $list, ReadLists $lists): JsonResponse
    {
        return $this->json($lists->one($list));
    }

    #[OA\Post(path: '/lists', operationId: 'makeHouseList', tags: ['lists'])]
    #[OA\RequestBody(required: true, content: new OA\JsonContent(ref: NewHouseList::class))]
    #[OA\Response(response: 201, description: 'A house list, empty or copied', content: new OA\JsonContent(ref: ListResource::class))]
    #[OA\Response(response: 422, description: 'Not accepted as entered')]
    public function store(NewHouseList $request, NewEdition $new, WriteList $write, ReadLists $lists): JsonResponse
    {
        $from = $request->validated('from');
        [$code, $title] = [(string) $request->validated('code'), (string) $request->validated('title')];
        $list = $from === null
            ? $write->create(
                ['code' => $code, 'edition' => '1', 'origin' => 'house', 'kind' => 'kit'],
                new ListContent($title, null, 'Our risk assessment', ['medicine'], []),
            )
            : $new->houseList(KitList::query()->where('id', $from)->firstOrFail(), $code, $title);

        return $this->json($lists->one($list), 201);
    }

    #[OA\Put(path: '/lists/{list}', operationId: 'changeList', tags: ['lists'], description: 'Changes an edition that nobody has confirmed.')]
    #[OA\Parameter(name: 'list', in: 'path', required: true, schema: new OA\Schema(type: 'string'))]
    #[OA\RequestBody(required: true, content: new OA\JsonContent(ref: WrittenList::class))]
    #[OA\Response(response: 200, description: 'The edition as it is now', content: new OA\JsonContent(ref: ListResource::class))]
    #[OA\Response(response: 409, description: 'Somebody else changed it in the meantime')]
    #[OA\Response(response: 422, description: 'Not accepted as entered, or confirmed')]
    public function change(WrittenList $request, KitList $list, WriteList $write, ReadLists $lists): JsonResponse
    {
        return $this->json($lists->one($write->edit($list, $request->base(), $request->list())->refresh()));
    }

    #[OA\Post(path: '/lists/{list}/editions', operationId: 'makeEdition', tags: ['lists'])]
    #[OA\Parameter(name: 'list', in: 'path', required: true, schema: new OA\Schema(type: 'string'))]
    #[OA\RequestBody(required: true, content: new OA\JsonContent(ref: NewListEdition::class))]
    #[OA\Response(
        response: 201,
        description: 'A new edition, unconfirmed, with the same lines',
        content: new OA\JsonContent(ref: ListResource::class),
    )]
    #[OA\Response(response: 422, description: 'Not accepted as entered')]
    public function edition(NewListEdition $request, KitList $list, NewEdition $new, ReadLists $lists): JsonResponse
    {
        return $this->json($lists->one($new->of($list, (string) $request->validated('edition'))), 201);
    }

    #[OA\Put(path: '/lists/{list}/confirmations/{line}', operationId: 'compareLine', tags: ['lists'])]
    #[OA\Parameter(name: 'list', in: 'path', required: true, schema: new OA\Schema(type: 'string'))]
    #[OA\Parameter(name: 'line', in: 'path', required: true, description: 'The code of the line', schema: new OA\Schema(type: 'string'))]
    #[OA\RequestBody(required: true, content: new OA\JsonContent(ref: ComparedLine::class))]
    #[OA\Response(response: 200, description: 'The edition with what was found', content: new OA\JsonContent(ref: ListResource::class))]
    #[OA\Response(response: 422, description: 'Not accepted as entered')]
    public function compare(ComparedLine $request, KitList $list, string $line, ConfirmList $confirm, ReadLists $lists): JsonResponse
    {
        $confirm->line($list, $line, $request->found(), $this->user($request), now());

        return $this->json($lists->one($list));
    }

    #[OA\Post(
        path: '/lists/{list}/confirmation',
        operationId: 'confirmList',
        tags: ['lists'],
        description: 'Confirms an edition of which every line was compared. It never changes from then on.',
    )]
    #[OA\Parameter(name: 'list', in: 'path', required: true, schema: new OA\Schema(type: 'string'))]
    #[OA\RequestBody(required: false, content: new OA\JsonContent(ref: ConfirmedList::class))]
    #[OA\Response(response: 200, description: 'The confirmed edition', content: new OA\JsonContent(ref: ListResource::class))]
    #[OA\Response(response: 422, description: 'Lines are left that nobody compared')]
    public function confirm(ConfirmedList $request, KitList $list, ConfirmList $confirm, ReadLists $lists): JsonResponse
    {
        return $this->json($lists->one($confirm->finish($list, $request->noCriticalBecause(), $this->user($request), now())));
    }

    #[OA\Get(path: '/lists/{list}/comparison', operationId: 'compareWithList', tags: ['lists'])]
    #[OA\Parameter(name: 'list', in: 'path', required: true, schema: new OA\Schema(type: 'string'))]
    #[OA\Parameter(name: 'subject', in: 'query', required: true, description: 'kit:QH-01 or design:vehicle', schema: new OA\Schema(type: 'string'))]
    #[OA\Response(
        response: 200,
        description: 'Line by line: met, met by a stand-in, short; extra and excluded; and what it would take',
        content: new OA\JsonContent(ref: ComparisonResource::class),
    )]
    #[OA\Response(response: 422, description: 'No such kit or design')]
    public function compareWith(Request $request, KitList $list, CompareWithList $hold): JsonResponse
    {
        [$kind, $code] = [...explode(':', $request->string('subject')->toString(), 2), ''];
        $kit = $kind === 'kit' ? Kit::query()->where('code', $code)->first() : null;
        $design = $kind === 'design' ? Design::query()->where('code', $code)->first() : null;
        abort_if($kit === null && $design === null, 422, 'Choose a kit or a design to compare with the list.');

        return $this->json($kit !== null
            ? $hold->kit($kit, $list, $this->today())
            : $hold->design($design ?? throw new \LogicException, $list, $this->today()));
    }
}
