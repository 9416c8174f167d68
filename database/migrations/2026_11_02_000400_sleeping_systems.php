<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** Seasonal and temporary systems sleep between times: they keep their book and raise no alarm. */
return new class extends Migration {
    public function up(): void
    {
        DB::unprepared('ALTER TABLE systems ADD COLUMN asleep_since timestamptz');
    }

    public function down(): void
    {
        DB::unprepared('ALTER TABLE systems DROP COLUMN asleep_since');
    }
};
