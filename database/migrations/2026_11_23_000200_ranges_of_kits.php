<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** What a kit without steps reads from and to: at the ends there may be less, or more. */
return new class extends Migration {
    public function up(): void
    {
        DB::unprepared(
            'ALTER TABLE kits ADD COLUMN range_from double precision, ADD COLUMN range_to double ' .
                'precision, ADD CONSTRAINT kits_range CHECK (range_from < range_to);',
        );
    }

    public function down(): void
    {
        DB::unprepared('ALTER TABLE kits DROP COLUMN range_from, DROP COLUMN range_to;');
    }
};
