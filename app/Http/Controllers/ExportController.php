<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Derived\Schedules;
use App\Exports\Exporter;
use App\Exports\Pdf;
use App\Exports\SheetPlans;
use App\Http\Api\ProblemResponse;
use App\Http\Asked;
use App\Models\Project;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Str;
use Isleward\Core\Exchange\Csv;
use Isleward\Core\Exchange\XlsxWriter;
use Isleward\Core\Measure\Fields;
use Isleward\Core\Schedule\Layout;
use OpenApi\Attributes as OA;

final readonly class ExportController
{
    private const XLSX = 'application/vnd.openxmlformats-officedocument.spreadsheetml.sheet';

    public function __construct(private Exporter $exporter, private Schedules $schedules, private SheetPlans $plans)
    {
    }

    #[OA\Get(
        path: '/projects/{project}/exports/elevation.svg', operationId: 'exportSvg',
        summary: 'The developed elevation as SVG, true scale in mm',
        parameters: [
            new OA\Parameter(name: 'project', in: 'path', required: true, schema: new OA\Schema(type: 'string')),
            new OA\Parameter(
                name: 'inner',
                in: 'query',
                description: '1: the inner walls instead of the outside',
                schema: new OA\Schema(type: 'integer', enum: [0, 1]),
            ),
            new OA\Parameter(
                name: 'scale',
                in: 'query',
                description: '50 for 1:50; 1 when left out',
                schema: new OA\Schema(type: 'number'),
            ),
        ],
        responses: [new OA\Response(
            response: 200,
            description: 'SVG',
            content: new OA\MediaType(mediaType: 'image/svg+xml', schema: new OA\Schema(type: 'string')),
        )])]
    public function svg(Request $request, Project $project): Response
    {
        return $this->file(
            $this->exporter->svg($project, Asked::number($request, 'scale', 1.0, -1e9, 1e9), $request->boolean('inner')),
            'image/svg+xml',
            $project,
            $request->boolean('inner') ? 'inner-walls.svg' : 'elevation.svg',
        );
    }

    #[OA\Get(path: '/projects/{project}/exports/model.glb', operationId: 'exportGlb', summary: 'The model as binary glTF',
        parameters: [new OA\Parameter(name: 'project', in: 'path', required: true, schema: new OA\Schema(type: 'string'))],
        responses: [new OA\Response(
            response: 200,
            description: 'GLB',
            content: new OA\MediaType(mediaType: 'model/gltf-binary', schema: new OA\Schema(type: 'string', format: 'binary')),
        )])]
    public function glb(Project $project): Response
    {
        return $this->file($this->exporter->glb($project), 'model/gltf-binary', $project, 'model.glb');
    }

    #[OA\Get(
        path: '/projects/{project}/exports/schedules/{layout}.{format}', operationId: 'exportSchedule',
        summary: 'A schedule as CSV, XLSX or PDF, in a layout that is always there (by-type, each, types, walls) or was kept',
        parameters: [
            new OA\Parameter(name: 'project', in: 'path', required: true, schema: new OA\Schema(type: 'string')),
            new OA\Parameter(name: 'layout', in: 'path', required: true, schema: new OA\Schema(type: 'string')),
            new OA\Parameter(
                name: 'format',
                in: 'path',
                required: true,
                schema: new OA\Schema(type: 'string', enum: ['csv', 'xlsx', 'pdf']),
            ),
        ],
        responses: [
            new OA\Response(response: 200, description: 'A file', content: [
                new OA\MediaType(mediaType: 'text/csv', schema: new OA\Schema(type: 'string')),
                new OA\MediaType(mediaType: self::XLSX, schema: new OA\Schema(type: 'string', format: 'binary')),
                new OA\MediaType(mediaType: 'application/pdf', schema: new OA\Schema(type: 'string', format: 'binary')),
            ]),
            new ProblemResponse(404, 'None'),
        ])]
    public function schedule(Project $project, string $layout, string $format): Response
    {
        return $this->laidOut($project, $this->schedules->layout($project, $layout) ?? abort(404), $format);
    }

    #[OA\Post(
        path: '/projects/{project}/exports/schedule.{format}', operationId: 'exportTriedSchedule',
        summary: 'A schedule as CSV, XLSX or PDF, in a layout that is not kept',
        parameters: [
            new OA\Parameter(name: 'project', in: 'path', required: true, schema: new OA\Schema(type: 'string')),
            new OA\Parameter(
                name: 'format',
                in: 'path',
                required: true,
                schema: new OA\Schema(type: 'string', enum: ['csv', 'xlsx', 'pdf']),
            ),
        ],
        requestBody: new OA\RequestBody(required: true, content: new OA\JsonContent(ref: '#/components/schemas/Layout')),
        responses: [
            new OA\Response(response: 200, description: 'A file', content: [
                new OA\MediaType(mediaType: 'text/csv', schema: new OA\Schema(type: 'string')),
                new OA\MediaType(mediaType: self::XLSX, schema: new OA\Schema(type: 'string', format: 'binary')),
                new OA\MediaType(mediaType: 'application/pdf', schema: new OA\Schema(type: 'string', format: 'binary')),
            ]),
            new ProblemResponse(422, 'It cannot be laid out so'),
        ])]
    public function triedSchedule(Request $request, Project $project, string $format): Response
    {
        return $this->laidOut(
            $project,
            Layout::from(new Fields(['id' => '', ...$request->json()->all()], $project->settings()->units)),
            $format,
        );
    }

    private function laidOut(Project $project, Layout $layout, string $format): Response
    {
        $name = Str::slug($layout->name).'.'.$format;
        if ($format === 'pdf') {
            $pages = $this->plans->ofSchedule($project, $layout);

            return $this->file(Pdf::of($pages === [] ? abort(404) : $pages), 'application/pdf', $project, $name);
        }
        $table = $this->schedules->report($project, $layout)->table();

        return $format === 'csv' ? $this->file(Csv::write($table), 'text/csv; charset=utf-8', $project, $name)
            : $this->file(XlsxWriter::write([$table]), self::XLSX, $project, $name);
    }

    #[OA\Get(
        path: '/projects/{project}/exports/types.json', operationId: 'exportTypes',
        summary: 'Unit types as JSON, of the schema /schemas/unit-types.schema.json',
        parameters: [
            new OA\Parameter(name: 'project', in: 'path', required: true, schema: new OA\Schema(type: 'string')),
            new OA\Parameter(
                name: 'ids',
                in: 'query',
                description: 'Ids with commas between them; all when left out',
                schema: new OA\Schema(type: 'string'),
            ),
        ],
        responses: [new OA\Response(
            response: 200,
            description: 'JSON',
            content: new OA\MediaType(mediaType: 'application/json', schema: new OA\Schema(type: 'object', additionalProperties: true)),
        )])]
    public function types(Request $request, Project $project): Response
    {
        $ids = Asked::has($request, 'ids') ? explode(',', Asked::text($request, 'ids')) : null;

        return $this->file($this->exporter->types($project, $ids), 'application/json', $project, 'unit-types.json');
    }

    private function file(string $content, string $type, Project $project, string $name): Response
    {
        return new Response($content, 200, [
            'Content-Type' => $type,
            'Content-Disposition' => 'attachment; filename="'.Str::slug($project->name).'-'.$name.'"',
        ]);
    }
}
