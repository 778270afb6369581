/** What is wrong with bytes that were to be a picture, as the end of a sentence: “it is …”. */
export class NotAPicture extends Error {
  override name = 'NotAPicture'
}
