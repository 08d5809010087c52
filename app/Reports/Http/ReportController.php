<?php

declare(strict_types=1);

namespace App\Reports\Http;

use App\Kits\Models\Kit;
use App\Ledger\KitHistory;
use App\Reports\KeepReports;
use App\Reports\Models\KitReport;
use App\Reports\ReadReports;
use App\Reports\ReportCodes;
use App\Support\Http\Controller;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Gate;
use Illuminate\Validation\ValidationException;
use OpenApi\Attributes as OA;

/** Reports of use as who is signed in sees them: made by who may not record, confirmed or rejected by who answers for the kit. */
final class ReportController extends Controller
{
    #[OA\Get(path: '/kits/{kit}/reports', operationId: 'readReports', tags: ['reports'])]
    #[OA\Parameter(name: 'kit', in: 'path', required: true, schema: new OA\Schema(type: 'string'))]
    #[OA\Response(
        response: 200,
        description: 'Those that wait, earliest first; then those that were decided last',
        content: new OA\JsonContent(type: 'array', items: new OA\Items(ref: ReportResource::class)),
    )]
    public function all(Kit $kit, ReadReports $reports): JsonResponse
    {
        return $this->json($reports->of($kit));
    }

    #[OA\Put(path: '/kits/{kit}/reports/{id}', operationId: 'reportUseSignedIn', tags: ['reports'])]
    #[OA\Parameter(name: 'kit', in: 'path', required: true, schema: new OA\Schema(type: 'string'))]
    #[OA\Parameter(name: 'id', in: 'path', required: true, schema: new OA\Schema(type: 'string'))]
    #[OA\RequestBody(required: true, content: new OA\JsonContent(ref: NewReport::class))]
    #[OA\Response(
        response: 200,
        description: 'The reports of the kit',
        content: new OA\JsonContent(type: 'array', items: new OA\Items(ref: ReportResource::class)),
    )]
    #[OA\Response(response: 422, description: 'Not accepted as entered')]
    public function store(NewReport $request, Kit $kit, string $id, KeepReports $keep, ReadReports $reports): JsonResponse
    {
        if (! $keep->take($kit->id, NewReport::id($id), $request->pieces(), null, $this->user($request), now())) {
            throw ValidationException::withMessages([
                'items' => 'This report was not kept: five wait for this kit already, or nothing of this is in it. Tell who answers for it.',
            ]);
        }

        return $this->json($reports->of($kit));
    }

    #[OA\Put(path: '/reports/{report}/rejection', operationId: 'rejectReport', tags: ['reports'])]
    #[OA\Parameter(name: 'report', in: 'path', required: true, schema: new OA\Schema(type: 'string'))]
    #[OA\RequestBody(required: true, content: new OA\JsonContent(required: ['reason'], properties: [
        new OA\Property(property: 'reason', type: 'string'),
    ]))]
    #[OA\Response(
        response: 200,
        description: 'The reports of the kit',
        content: new OA\JsonContent(type: 'array', items: new OA\Items(ref: ReportResource::class)),
    )]
    #[OA\Response(response: 422, description: 'Not accepted as entered')]
    public function reject(Request $request, KitReport $report, KeepReports $keep, ReadReports $reports): JsonResponse
    {
        Gate::authorize('answerFor', $report->kit);
        $request->validate(
            ['reason' => ['required', 'string', 'max:200']],
            ['reason.*' => 'Say why it is rejected, in at most 200 characters, such as "counted: nothing is missing".'],
        );
        $keep->reject($report, $request->string('reason')->trim()->value(), $this->user($request), now());

        return $this->json($reports->of($report->kit));
    }

    #[OA\Put(path: '/reports/{report}/confirmation', operationId: 'confirmReport', tags: ['reports'],
        description: 'Where a full check has counted the kit since. Else it is confirmed by the use that it is recorded as.')]
    #[OA\Parameter(name: 'report', in: 'path', required: true, schema: new OA\Schema(type: 'string'))]
    #[OA\Response(
        response: 200,
        description: 'The reports of the kit',
        content: new OA\JsonContent(type: 'array', items: new OA\Items(ref: ReportResource::class)),
    )]
    #[OA\Response(response: 422, description: 'No full check has counted it')]
    public function confirm(Request $request, KitReport $report, KeepReports $keep, ReadReports $reports): JsonResponse
    {
        Gate::authorize('answerFor', $report->kit);
        $keep->confirmCounted($report, $this->user($request), now());

        return $this->json($reports->of($report->kit));
    }

    #[OA\Get(path: '/kits/{kit}/report-code', operationId: 'readReportCode', tags: ['reports'])]
    #[OA\Parameter(name: 'kit', in: 'path', required: true, schema: new OA\Schema(type: 'string'))]
    #[OA\Response(response: 200, description: 'Whether it has one', content: new OA\JsonContent(ref: ReportCode::class))]
    public function code(Kit $kit, ReportCodes $codes): JsonResponse
    {
        return $this->json(self::described($kit, $codes));
    }

    #[OA\Post(path: '/kits/{kit}/report-code', operationId: 'makeReportCode', tags: ['reports'],
        description: 'Makes a new one, and withdraws the one before it.')]
    #[OA\Parameter(name: 'kit', in: 'path', required: true, schema: new OA\Schema(type: 'string'))]
    #[OA\Response(response: 200, description: 'With what it leads to, this once', content: new OA\JsonContent(ref: ReportCode::class))]
    public function makeCode(Request $request, Kit $kit, ReportCodes $codes): JsonResponse
    {
        $token = $codes->make($kit, $this->user($request), now());

        return $this->json(self::described($kit, $codes, url("/report/{$token}")));
    }

    #[OA\Delete(path: '/kits/{kit}/report-code', operationId: 'withdrawReportCode', tags: ['reports'])]
    #[OA\Parameter(name: 'kit', in: 'path', required: true, schema: new OA\Schema(type: 'string'))]
    #[OA\Response(response: 200, description: 'It has none', content: new OA\JsonContent(ref: ReportCode::class))]
    public function withdrawCode(Request $request, Kit $kit, ReportCodes $codes): JsonResponse
    {
        $codes->withdraw($kit, $this->user($request), now());

        return $this->json(self::described($kit, $codes));
    }

    private static function described(Kit $kit, ReportCodes $codes, ?string $address = null): ReportCode
    {
        $code = $codes->of($kit);

        return new ReportCode($code === null ? null : KitHistory::said($code->made_at), $code->name ?? null, $address);
    }
}
