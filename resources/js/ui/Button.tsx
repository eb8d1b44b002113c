import type { ButtonHTMLAttributes } from 'react';

const looks = {
    plain: 'text-ink hover:text-tide disabled:text-quiet/60',
    outline: 'border border-hairline bg-sheet text-ink hover:border-tide hover:text-tide disabled:text-quiet/60',
    main: 'bg-tide text-on-tide hover:brightness-110 font-semibold disabled:opacity-60',
    danger: 'text-buoy hover:underline',
    warn: 'border border-buoy text-buoy hover:bg-buoy-wash',
};

type Props = ButtonHTMLAttributes<HTMLButtonElement> & { look?: keyof typeof looks; small?: boolean };

/** A button in our look. */
export function Button({ look = 'outline', small = false, className = '', type = 'button', ...rest }: Props) {
    const size = small ? 'min-h-6 px-2 text-xs' : 'min-h-8 px-3 text-[13px]';
    return (
        <button
            type={type}
            className={`inline-flex items-center gap-1.5 rounded whitespace-nowrap ${size} ${looks[look]} ${className}`}
            {...rest}
        />
    );
}
