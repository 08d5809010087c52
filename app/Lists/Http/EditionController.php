<?php

declare(strict_types=1);

namespace App\Lists\Http;

use App\Designs\AdoptListEdition;
use App\Designs\Models\Design;
use App\Judging\JudgingVersion;
use App\Ledger\Head;
use App\Lists\EffectsOfEdition;
use App\Lists\Models\EditionPreview;
use App\Lists\Models\KitList;
use App\Lists\PreviewEdition;
use App\Lists\ReadEditionChange;
use App\Lists\ReadEditionPreview;
use App\Lists\ReadLists;
use App\Support\Http\Controller;
use App\Support\Transaction;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use OpenApi\Attributes as OA;

/** What a change of a list's edition does to designs and kits, and the designs that adopt it. */
final class EditionController extends Controller
{
    #[OA\Get(path: '/lists/{list}/change', operationId: 'readEditionChange', tags: ['lists'])]
    #[OA\Parameter(name: 'list', in: 'path', required: true, schema: new OA\Schema(type: 'string'))]
    #[OA\Parameter(
        name: 'from',
        in: 'query',
        required: false,
        description: 'The edition to compare with; else the one that it supersedes',
        schema: new OA\Schema(type: 'string'),
    )]
    #[OA\Response(
        response: 200,
        description: 'Changes, line by line, and what each kit would lack',
        content: new OA\JsonContent(ref: EditionChangeResource::class),
    )]
    #[OA\Response(response: 422, description: 'There is no edition to compare with')]
    public function changes(Request $request, KitList $list, ReadEditionChange $change): JsonResponse
    {
        return $this->json($change(self::before($request, $list), $list, $this->today()));
    }

    #[OA\Post(
        path: '/lists/{list}/adoption',
        operationId: 'adoptEdition',
        tags: ['lists'],
        description: 'Publishes the next edition of a design, which keeps this edition of the list. Kits follow one by one (adoptDesignEdition).',
    )]
    #[OA\Parameter(name: 'list', in: 'path', required: true, schema: new OA\Schema(type: 'string'))]
    #[OA\RequestBody(required: true, content: new OA\JsonContent(ref: AdoptedEdition::class))]
    #[OA\Response(response: 200, description: 'The edition, with the designs that keep it', content: new OA\JsonContent(ref: ListResource::class))]
    #[OA\Response(response: 422, description: 'Not accepted as entered')]
    public function adopt(AdoptedEdition $request, KitList $list, AdoptListEdition $adopt, ReadLists $lists): JsonResponse
    {
        /** @var list<array{line: string, pocket_id: string}> $pockets */
        $pockets = $request->validated('pockets') ?? [];
        $adopt(
            Design::query()->where('id', $request->validated('design'))->firstOrFail(),
            $list,
            array_column($pockets, 'pocket_id', 'line'),
            now(),
        );

        return $this->json($lists->one($list));
    }

    #[OA\Post(
        path: '/lists/{list}/previews',
        operationId: 'previewEdition',
        tags: ['lists'],
        description: 'Has a worker find out what the edition would do to every kit, where they are too many for one answer.',
    )]
    #[OA\Parameter(name: 'list', in: 'path', required: true, schema: new OA\Schema(type: 'string'))]
    #[OA\Parameter(name: 'from', in: 'query', required: false, schema: new OA\Schema(type: 'string'))]
    #[OA\Response(response: 202, description: 'The preview, begun', content: new OA\JsonContent(ref: EditionPreviewResource::class))]
    #[OA\Response(response: 422, description: 'There is no edition to compare with')]
    public function preview(
        Request $request,
        KitList $list,
        EffectsOfEdition $effects,
        JudgingVersion $version,
        ReadEditionPreview $read,
    ): JsonResponse {
        $from = self::before($request, $list);
        $preview = Transaction::run(function () use ($request, $list, $from, $effects, $version): EditionPreview {
            KitList::query()->where('id', $list->id)->lockForUpdate()->firstOrFail();
            $of = EditionPreview::query()->where('to_id', $list->id)->where('from_id', $from->id);
            // Who asks twice, or at the same moment as somebody else, gets the one that is on its way.
            $running = (clone $of)->whereIn('state', ['waiting', 'running'])->first();
            if ($running !== null) {
                return $running;
            }
            $of->delete();
            $preview = EditionPreview::query()->create([
                'from_id' => $from->id, 'to_id' => $list->id, 'user_id' => $this->user($request)->id, 'state' => 'waiting',
                'kits' => $effects->count($from), 'done' => 0, 'version' => $version->now(), 'operation' => Head::read()->number,
                'day' => $this->today(), 'made_at' => now()->utc()->format('Y-m-d H:i:s'),
            ]);
            PreviewEdition::dispatch($preview->id)->afterCommit();

            return $preview;
        });

        return $this->json($read($preview->refresh(), 0), 202);
    }

    #[OA\Get(path: '/previews/{preview}', operationId: 'readEditionPreview', tags: ['lists'])]
    #[OA\Parameter(name: 'preview', in: 'path', required: true, schema: new OA\Schema(type: 'string'))]
    #[OA\Parameter(name: 'after', in: 'query', required: false, schema: new OA\Schema(type: 'integer'))]
    #[OA\Response(response: 200, description: 'As far as it is', content: new OA\JsonContent(ref: EditionPreviewResource::class))]
    public function previewed(Request $request, EditionPreview $preview, ReadEditionPreview $read): JsonResponse
    {
        return $this->json($read($preview, $request->integer('after')));
    }

    private static function before(Request $request, KitList $list): KitList
    {
        $from = KitList::query()->where('code', $list->code)->where('id', '!=', $list->id)
            ->find($request->string('from')->toString() ?: $list->supersedes_id);

        return $from ?? abort(422, 'This is the first edition: there is none to compare it with.');
    }
}
