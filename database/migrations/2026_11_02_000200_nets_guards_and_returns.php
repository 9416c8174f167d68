<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** What the check of a build asks for: nets over vessels, guards on suctions, how a return meets the water. */
return new class extends Migration {
    public function up(): void
    {
        DB::unprepared(
            <<<'SQL'
            ALTER TABLE vessels ADD COLUMN netted boolean NOT NULL DEFAULT false;
            ALTER TABLE lines
                ADD COLUMN guarded boolean NOT NULL DEFAULT false,
                ADD COLUMN outlet varchar(12) CHECK (outlet IN ('pipe', 'jet', 'waterfall', 'spray_bar', 'venturi')),
                ADD CHECK (outlet IS NULL OR to_vessel_id IS NOT NULL);
            SQL
            ,
        );
    }

    public function down(): void
    {
        DB::unprepared(
            'ALTER TABLE lines DROP COLUMN guarded, DROP COLUMN outlet; ALTER TABLE vessels DROP COLUMN netted',
        );
    }
};
