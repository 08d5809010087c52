<?php

declare(strict_types=1);

namespace App\Exchange\Http;

use App\Exchange\Exports;
use App\Exchange\ImportFile;
use App\Exchange\Kind;
use App\Exchange\Models\Import;
use App\Support\Http\Controller;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use OpenApi\Attributes as OA;

/** Files taken out and brought in: catalogue, lists, designs and kits, as JSON or as sheets. */
final class ExchangeController extends Controller
{
    /** Rows of a preview that are sent at once. */
    private const SHOWN = 200;

    #[OA\Get(path: '/exports/{kind}', operationId: 'takeOut', tags: ['exchange'])]
    #[OA\Parameter(name: 'kind', in: 'path', required: true, schema: new OA\Schema(type: 'string', enum: ['catalogue', 'lists', 'designs', 'kits']))]
    #[OA\Parameter(name: 'format', in: 'query', required: false, schema: new OA\Schema(type: 'string', enum: ['json', 'csv']))]
    #[OA\Response(response: 200, description: 'The file; as JSON it follows the published schema', content: new OA\JsonContent(type: 'object'))]
    public function export(Request $request, string $kind, Exports $exports): Response
    {
        $of = Kind::tryFrom($kind) ?? abort(404);
        $isSheet = $request->query('format') === 'csv';

        return new Response($isSheet ? $exports->csv($of) : $exports->json($of), 200, [
            'Content-Type' => $isSheet ? 'text/csv; charset=utf-8' : 'application/json',
            'Content-Disposition' => "attachment; filename=\"sarcina-{$of->value}.".($isSheet ? 'csv' : 'json').'"',
        ]);
    }

    #[OA\Post(path: '/imports', operationId: 'bringIn', tags: ['exchange'])]
    #[OA\RequestBody(required: true, content: new OA\JsonContent(ref: ImportedFile::class))]
    #[OA\Response(response: 201, description: 'Kept, to be read step by step', content: new OA\JsonContent(ref: ImportResource::class))]
    #[OA\Response(response: 422, description: 'It cannot be read')]
    public function store(ImportedFile $request, ImportFile $bringIn): JsonResponse
    {
        $id = Str::lower((string) $request->validated('id'));
        $known = Import::query()->find($id);
        if ($known !== null) {
            return $this->json($this->resource($request, $known));
        }
        /** @var array<string, string> $file */
        $file = $request->validated();
        $import = new Import([
            ...$file,
            'id' => $id,
            'rows' => 0,
            'read' => 0,
            'user_id' => $this->user($request)->id,
            'made_at' => now()->utc()->format('Y-m-d H:i:s'),
        ]);

        return $this->json($this->resource($request, $bringIn->begin($import)->refresh()), 201);
    }

    #[OA\Get(path: '/imports/{import}', operationId: 'readImport', tags: ['exchange'])]
    #[OA\Parameter(name: 'import', in: 'path', required: true, schema: new OA\Schema(type: 'string'))]
    #[OA\Parameter(name: 'outcome', in: 'query', required: false, schema: new OA\Schema(type: 'string', enum: ['new', 'changed', 'same', 'error']))]
    #[OA\Parameter(name: 'after', in: 'query', required: false, description: 'Only rows after this one', schema: new OA\Schema(type: 'integer'))]
    #[OA\Response(response: 200, description: 'How far it is, and what would change', content: new OA\JsonContent(ref: ImportResource::class))]
    public function show(Request $request, Import $import): JsonResponse
    {
        return $this->json($this->resource($request, $import));
    }

    #[OA\Put(
        path: '/imports/{import}/taking',
        operationId: 'takeIn',
        tags: ['exchange'],
        description: 'Has all of it taken in, or nothing, as soon as a worker is free.',
    )]
    #[OA\Parameter(name: 'import', in: 'path', required: true, schema: new OA\Schema(type: 'string'))]
    #[OA\Response(response: 200, description: 'How far it is, and what would change', content: new OA\JsonContent(ref: ImportResource::class))]
    #[OA\Response(response: 422, description: 'Something is wrong with it: nothing was imported')]
    public function take(Request $request, Import $import, ImportFile $bringIn): JsonResponse
    {
        return $this->json($this->resource($request, $bringIn->askToTake($import, $this->user($request))));
    }

    private function resource(Request $request, Import $import): ImportResource
    {
        $counts = DB::table('import_rows')
            ->where('import_id', $import->id)
            ->groupBy('outcome')
            ->selectRaw('outcome, COUNT(*) AS number')
            ->pluck('number', 'outcome');
        $count = static fn (string $outcome): int => is_numeric($counts->get($outcome)) ? (int) $counts->get($outcome) : 0;
        $shown = DB::table('import_rows')
            ->where('import_id', $import->id)
            ->where('number', '>', $request->integer('after'))
            ->when(
                in_array($request->query('outcome'), ['new', 'changed', 'same', 'error'], true),
                fn ($rows) => $rows->where('outcome', $request->query('outcome')),
            )
            ->orderByRaw("outcome <> 'error', outcome = 'same'")
            ->orderBy('number')
            ->limit(self::SHOWN)
            ->get();

        return new ImportResource(
            $import->id,
            $import->kind->value,
            $import->format,
            $import->file_name,
            $import->state,
            $import->rows,
            $import->read,
            ImportFile::taken($import),
            $count('new'),
            $count('changed'),
            $count('same'),
            $count('error'),
            $import->user->name,
            $import->made_at.'Z',
            $import->done_at === null ? null : $import->done_at.'Z',
            $import->problem,
            array_values(
                $shown
                    ->map(
                        static fn (object $row): ImportRowResource => new ImportRowResource(
                            (int) $row->number,
                            $row->code,
                            $row->outcome,
                            $row->texts === '' ? [] : explode("\n", $row->texts),
                        ),
                    )
                    ->all(),
            ),
        );
    }
}
