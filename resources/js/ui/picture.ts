/** A picture that was chosen or taken, made small before it leaves the phone; null where none was. */
export async function chosenPicture(event: Event): Promise<Blob | null> {
    const input = event.target;
    const file = input instanceof HTMLInputElement ? input.files?.[0] : undefined;
    if (!(input instanceof HTMLInputElement) || !file) return null;
    input.value = '';
    try {
        const picture = await createImageBitmap(file);
        const scale = Math.min(1, 1600 / Math.max(picture.width, picture.height));
        const canvas = document.createElement('canvas');
        canvas.width = Math.round(picture.width * scale);
        canvas.height = Math.round(picture.height * scale);
        canvas.getContext('2d')?.drawImage(picture, 0, 0, canvas.width, canvas.height);
        return await new Promise<Blob>((resolve) => canvas.toBlob((b) => resolve(b ?? file), 'image/jpeg', 0.85));
    } catch {
        // What cannot be read as a picture here is sent as it is; the server says what is wrong with it.
        return file;
    }
}

/** The body in which a picture is sent. */
export function pictureForm(photo: Blob): () => FormData {
    return () => {
        const form = new FormData();
        form.append('photo', photo, 'jar.jpg');
        return form;
    };
}
