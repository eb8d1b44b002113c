<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** Openings, setting-out lines and accepted findings name what they stand in as their host: in their tables and in the log. */
return new class extends Migration
{
    private const TABLES = ['opening' => 'openings', 'line' => 'setting_out_lines', 'acceptance' => 'acceptances'];

    public function up(): void
    {
        foreach (self::TABLES as $table) {
            Schema::table($table, fn (Blueprint $t) => $t->renameColumn('wall_id', 'host_id'));
        }
        $this->inLog('wall', 'host');
    }

    public function down(): void
    {
        foreach (self::TABLES as $table) {
            Schema::table($table, fn (Blueprint $t) => $t->renameColumn('host_id', 'wall_id'));
        }
        $this->inLog('host', 'wall');
    }

    private function inLog(string $was, string $is): void
    {
        $changes = DB::table('changes')->where('operations', 'like', "%\"$was\":%")->select(['project_id', 'number', 'operations']);
        foreach ($changes->orderBy('project_id')->orderBy('number')->lazy(200) as $row) {
            /** @var list<array<string, mixed>> $operations */
            $operations = json_decode((string) $row->operations, true, flags: JSON_THROW_ON_ERROR);
            foreach ($operations as $i => $operation) {
                foreach (isset(self::TABLES[$operation['kind'] ?? '']) ? ['before', 'after'] : [] as $state) {
                    if (is_array($operation[$state] ?? null) && array_key_exists($was, $operation[$state])) {
                        $operations[$i][$state] = self::renamed($operation[$state], $was, $is);
                    }
                }
            }
            DB::table('changes')->where('project_id', $row->project_id)->where('number', $row->number)
                ->update(['operations' => json_encode($operations, JSON_THROW_ON_ERROR)]);
        }
    }

    /**
     * @param  array<string, mixed>  $values
     * @return array<string, mixed> in the same order
     */
    private static function renamed(array $values, string $was, string $is): array
    {
        $names = array_map(static fn (string $name): string => $name === $was ? $is : $name, array_keys($values));

        return array_combine($names, $values);
    }
};
