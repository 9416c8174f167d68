<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/**
 * The units a person reads in. Protects: nothing that is kept or computed is ever in them.
 */
return new class extends Migration {
    public function up(): void
    {
        DB::unprepared('ALTER TABLE users ADD COLUMN units jsonb');
    }

    public function down(): void
    {
        DB::unprepared('ALTER TABLE users DROP COLUMN units');
    }
};
