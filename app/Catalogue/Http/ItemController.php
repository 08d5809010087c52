<?php

declare(strict_types=1);

namespace App\Catalogue\Http;

use App\Catalogue\Catalogue;
use App\Catalogue\Models\Item as ItemModel;
use App\Catalogue\Models\ItemClass;
use App\Catalogue\ReadItems;
use App\Catalogue\ReadItemTable;
use App\Catalogue\ReadLots;
use App\Catalogue\WriteItem;
use App\Kits\Models\Kit;
use App\Support\Http\Controller;
use App\Support\Listing\SheetResponse;
use Illuminate\Http\JsonResponse;
use Illuminate\Support\Facades\Gate;
use Illuminate\Validation\ValidationException;
use OpenApi\Attributes as OA;
use Sarcina\Core\Kit\Item;
use Symfony\Component\HttpFoundation\StreamedResponse;

/** The catalogue: its items and the tree of their classes. */
final class ItemController extends Controller
{
    #[OA\Get(path: '/items', operationId: 'readItems', tags: ['items'])]
    #[OA\Parameter(ref: '#/components/parameters/page')]
    #[OA\Parameter(ref: '#/components/parameters/order')]
    #[OA\Parameter(ref: '#/components/parameters/q')]
    #[OA\Parameter(ref: '#/components/parameters/format')]
    #[OA\Parameter(name: 'sort', in: 'query', required: false, schema: new OA\Schema(type: 'string', enum: ['name', 'code', 'class']))]
    #[OA\Parameter(name: 'class', in: 'query', required: false, schema: new OA\Schema(type: 'string'))]
    #[OA\Parameter(
        name: 'scope',
        in: 'query',
        required: false,
        schema: new OA\Schema(type: 'string', enum: ['anyone', 'first_aider', 'trained', 'clinician']),
    )]
    #[OA\Response(response: 200, description: 'The catalogue', content: new OA\JsonContent(ref: ItemsResource::class))]
    #[OA\Response(response: 422, description: 'Not a list that can be read')]
    public function all(ItemListRequest $request, ReadItemTable $items): JsonResponse|StreamedResponse
    {
        if ($request->wantsSheet()) {
            Gate::authorize('export', Kit::class);

            return SheetResponse::of('items', ReadItemTable::headings(), $items->sheet($request));
        }

        return $this->json($items($request));
    }

    #[OA\Get(path: '/choices/items', operationId: 'readItemChoices', tags: ['items'])]
    #[OA\Response(
        response: 200,
        description: 'All items by name, to choose from',
        content: new OA\JsonContent(type: 'array', items: new OA\Items(ref: ItemChoice::class)),
    )]
    public function choices(ReadItemTable $items): JsonResponse
    {
        return $this->json($items->choices());
    }

    #[OA\Get(path: '/choices/accepted', operationId: 'readAccepted', tags: ['items'])]
    #[OA\Parameter(name: 'class', in: 'query', required: true, schema: new OA\Schema(type: 'string'))]
    #[OA\Parameter(
        name: 'least', in: 'query', required: false, style: 'deepObject', explode: true, description: 'least measures by name, such as 10 cm',
        schema: new OA\Schema(type: 'object', additionalProperties: new OA\AdditionalProperties(type: 'string')),
    )]
    #[OA\Response(
        response: 200,
        description: 'The items of the catalogue that a line by this class would accept',
        content: new OA\JsonContent(type: 'array', items: new OA\Items(ref: ItemName::class)),
    )]
    #[OA\Response(response: 422, description: 'No such class or measure can be')]
    public function accepted(AcceptedByClass $request, Catalogue $catalogue): JsonResponse
    {
        $accepted = $request->accepted();
        $items = array_filter($catalogue->all(), static fn (Item $item): bool => $accepted->matches($item) && $item->supersededBy === null);

        return $this->json(array_values(array_map(
            static fn (Item $item): ItemName => new ItemName($item->code, $catalogue->name($item->code)),
            $items,
        )));
    }

    #[OA\Get(path: '/items/{item}', operationId: 'readItem', tags: ['items'])]
    #[OA\Parameter(name: 'item', in: 'path', required: true, schema: new OA\Schema(type: 'string'))]
    #[OA\Response(response: 200, description: 'One item', content: new OA\JsonContent(ref: ItemResource::class))]
    public function show(ItemModel $item, ReadItems $items): JsonResponse
    {
        return $this->json($items->one($item));
    }

    #[OA\Get(path: '/items/{item}/lots', operationId: 'readLots', tags: ['items'])]
    #[OA\Parameter(name: 'item', in: 'path', required: true, schema: new OA\Schema(type: 'string'))]
    #[OA\Response(
        response: 200,
        description: 'Its lots that are on record',
        content: new OA\JsonContent(type: 'array', items: new OA\Items(ref: KnownLot::class)),
    )]
    public function lots(ItemModel $item, ReadLots $lots): JsonResponse
    {
        return $this->json($lots($item));
    }

    #[OA\Post(path: '/items', operationId: 'addItem', tags: ['items'])]
    #[OA\RequestBody(required: true, content: new OA\JsonContent(ref: WrittenItem::class))]
    #[OA\Response(response: 201, description: 'The new item', content: new OA\JsonContent(ref: ItemResource::class))]
    #[OA\Response(response: 422, description: 'Not accepted as entered')]
    public function store(WrittenItem $request, WriteItem $write, ReadItems $items): JsonResponse
    {
        return $this->json($items->one($write($request->item(), null)), 201);
    }

    #[OA\Put(path: '/items/{item}', operationId: 'changeItem', tags: ['items'])]
    #[OA\Parameter(name: 'item', in: 'path', required: true, schema: new OA\Schema(type: 'string'))]
    #[OA\RequestBody(required: true, content: new OA\JsonContent(ref: WrittenItem::class))]
    #[OA\Response(response: 200, description: 'The item as it is now', content: new OA\JsonContent(ref: ItemResource::class))]
    #[OA\Response(response: 409, description: 'Somebody else changed it in the meantime')]
    #[OA\Response(response: 422, description: 'Not accepted as entered')]
    public function change(WrittenItem $request, ItemModel $item, WriteItem $write, ReadItems $items): JsonResponse
    {
        if ($request->item()['code'] !== $item->code) {
            throw ValidationException::withMessages([
                'code' => 'The code of an item stays as it is: labels and files name it. Make a new item that supersedes this one.',
            ]);
        }

        return $this->json($items->one($write($request->item(), $request->base() ?? 0)));
    }

    #[OA\Get(path: '/classes', operationId: 'readClasses', tags: ['items'])]
    #[
        OA\Response(
            response: 200,
            description: 'The tree of classes in its order',
            content: new OA\JsonContent(type: 'array', items: new OA\Items(ref: ClassResource::class)),
        ),
    ]
    public function classes(ReadItems $items): JsonResponse
    {
        return $this->json($items->classes());
    }

    #[OA\Put(path: '/classes/{class}', operationId: 'nameClass', tags: ['items'])]
    #[OA\Parameter(name: 'class', in: 'path', required: true, schema: new OA\Schema(type: 'string'))]
    #[OA\RequestBody(required: true, content: new OA\JsonContent(ref: ClassTitle::class))]
    #[
        OA\Response(
            response: 200,
            description: 'The tree of classes in its order',
            content: new OA\JsonContent(type: 'array', items: new OA\Items(ref: ClassResource::class)),
        ),
    ]
    #[OA\Response(response: 422, description: 'Not accepted as entered')]
    public function nameClass(ClassTitle $request, ItemClass $class, ReadItems $items): JsonResponse
    {
        $class->update(['title' => $request->validated('title')]);

        return $this->json($items->classes());
    }
}
