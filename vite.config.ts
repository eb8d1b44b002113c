import tailwindcss from '@tailwindcss/vite';
import react from '@vitejs/plugin-react';
import laravel from 'laravel-vite-plugin';
import { defineConfig } from 'vite';

export default defineConfig({
    plugins: [laravel({ input: ['resources/css/app.css', 'resources/js/app.tsx'] }), react(), tailwindcss()],
    build: {
        assetsInlineLimit: 0,
        chunkSizeWarningLimit: 1200,
        rolldownOptions: {
            output: {
                // a browser fetches six files at a time: each page is few of them, with all that it begins with
                codeSplitting: {
                    groups: [
                        { name: 'start', test: /resources\/js\/app\.tsx$|lucide-react.*createLucideIcon/, priority: 5 },
                        { name: 'menus', test: /resources\/js\/(ui\/(OwnMenu|Dialog|Choice)|projects\/SignInAgain)\.tsx$/, priority: 4 },
                        { name: 'desk', test: /resources\/js\/desk\/DeskPage\.tsx$/, priority: 3 },
                        {
                            name: 'beside',
                            test: /resources\/js\/desk\/(Rack|elevation\/(PerimeterStrip|ShowMenu)|Header|card\/Card|RemoveHanging|Going)\.tsx$/,
                            priority: 2,
                        },
                        { name: 'solid', test: /resources\/js\/desk\/solid\/Viewer\.ts$/, priority: 1 },
                    ],
                },
            },
        },
    },
});
